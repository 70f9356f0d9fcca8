import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { eventsOf } from "@/stages/contest/queries/events";
import { ok, refused } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { worldEach } from "@/stages/testing/world-each";
import { judgedEventsOf } from "../queries/judged";
import { programmeOf } from "../queries/programme";
import { resultNotes } from "../queries/versions";
import { standingsTable } from "../standings-csv";
import { judging } from "../view/judged";
import { runOffs } from "../view/run-off";
import { resultVersions } from "../view/versions";
import { scoreAttempt } from "./attempts";
import { confirmEvent, reopenEvent, saveEvent } from "./events";
import { asideSheet, markSheet, saveJudgedEvent } from "./judged";
import { recordRunOff } from "./run-off";

const here = worldEach("Judged");

const judge = (name: string): Actor => ({
  kind: "guest",
  id: randomUUID(),
  name,
  role: "judge",
  project: here.w.projectId,
});
const mark = (who: Actor, entryId: string, use: string, after = 0, more: object = {}) =>
  ok(markSheet, who, { id: randomUUID(), entryId, after, marks: { use }, ...more });
const event = async () => (await judgedEventsOf(here.w.projectId))[0]!;
const places = async () => (await event()).standings.map((s) => [s.name, s.place, s.shown, s.points]);

describe("a judged event", () => {
  test("is marked by judges with links of their own, ranked as they mark, and its sheets are corrected", async () => {
    const [alder, bramble] = here.w.shown as [string, string];
    const [j1, j2] = [judge("Panel"), judge("Panel")];
    await mark(j1, bramble, "5");
    await mark(j2, bramble, "4");
    expect(await places()).toEqual([
      ["Bramble", 1, "90.00", "36"],
      ["Alder", 2, "60.00", "24"],
    ]);
    // Two links of one name are two judges.
    expect((await event()).sheets.map((s) => s.judge).sort()).toEqual(
      [expect.any(String), "Panel", "Panel (2)"].sort(),
    );
    await mark(j1, bramble, "1", 1);
    expect(await places()).toEqual([
      ["Alder", 1, "60.00", "24"],
      ["Bramble", 2, "50.00", "20"],
    ]);
    // The same sheet from another device of the judge has not seen that.
    await refused(markSheet, j1, { id: randomUUID(), entryId: bramble, after: 1, marks: { use: "2" } }, /another page/);
    await refused(markSheet, j1, { id: randomUUID(), entryId: alder, after: 0, marks: { use: "6" } }, /0 to 5/);
    await refused(markSheet, j1, { id: randomUUID(), entryId: alder, after: 0, marks: {} }, /not marked yet/);
    await refused(
      markSheet,
      j1,
      { id: randomUUID(), entryId: here.w.entry, after: 0, marks: { use: "1" } },
      /not judged/,
    );
    const scorer: Actor = { ...j1, role: "scorer" } as Actor;
    expect(
      await execute(markSheet, scorer, { id: randomUUID(), entryId: alder, after: 0, marks: { use: "1" } }),
    ).toMatchObject({
      ok: false,
      kind: "forbidden",
    });
  });

  test("what is sent again has the effect of one", async () => {
    const request = randomUUID();
    const input = { id: randomUUID(), entryId: here.w.shown[1]!, after: 0, marks: { use: "5" } };
    const j = judge("Panel");
    const [one, two] = await Promise.all([
      execute(markSheet, j, input, request),
      execute(markSheet, j, input, request),
    ]);
    expect([one.ok, two.ok]).toEqual([true, true]);
    expect((await event()).sheets).toHaveLength(2);
  });

  test("a judge steps back with a reason, and it says when a team has nobody left", async () => {
    const j = judge("Panel");
    await refused(
      markSheet,
      j,
      { id: randomUUID(), entryId: here.w.shown[1]!, after: 0, stepped: true },
      /why you step back/,
    );
    await mark(j, here.w.shown[1]!, "", 0, { stepped: true, note: "My sister is in it" });
    const view = judging(await event(), []);
    expect(view.judges.find((x) => x.name.startsWith("Panel"))).toMatchObject({ marked: 0, stepped: ["Bramble"] });
    expect(view.says).toEqual([]);
    const own = (await event()).sheets.find((s) => s.state === "stepped")!;
    await mark(j, here.w.shown[1]!, "5", own.version);
    expect((await places())[0]![0]).toBe("Bramble");
  });

  test("a sheet is set aside and counts again; what is confirmed is not marked any more", async () => {
    await ok(asideSheet, here.boss, { id: here.w.sheet, version: 1, aside: true, reason: "Wrong team" });
    expect(await places()).toEqual([
      ["Alder", null, "–", null],
      ["Bramble", null, "–", null],
    ]);
    await refused(
      markSheet,
      here.boss,
      { id: randomUUID(), entryId: here.w.shown[0]!, after: 2, marks: { use: "4" } },
      /Wrong team/,
    );
    await refused(
      confirmEvent,
      here.boss,
      { id: here.w.judged, version: (await event()).version },
      /Nobody has a mark/,
    );
    await refused(asideSheet, here.boss, { id: here.w.sheet, version: 2, aside: true, reason: "x" }, /already/);
    await ok(asideSheet, here.boss, { id: here.w.sheet, version: 2, aside: false, reason: "It was right" });
    expect((await places())[0]).toEqual(["Alder", 1, "60.00", "24"]);
    const same = { projectId: here.w.projectId, id: here.w.judged, version: (await event()).version, name: "Design" };
    const criteria = [{ key: "use", name: "Use", weight: "2" }];
    await refused(
      saveJudgedEvent,
      here.boss,
      { ...same, criteria, most: 5, method: "mean", tie: "shared" },
      /rules of this event are fixed/,
    );
    await ok(confirmEvent, here.boss, { id: here.w.judged, version: same.version });
    await refused(
      markSheet,
      here.boss,
      { id: randomUUID(), entryId: here.w.shown[1]!, after: 0, marks: { use: "4" } },
      /confirmed/,
    );
    await refused(asideSheet, here.boss, { id: here.w.sheet, version: 3, aside: true, reason: "x" }, /confirmed/);
    await ok(reopenEvent, here.boss, { id: here.w.judged, version: same.version + 1, reason: "A sheet was missing" });
    await mark(here.boss, here.w.shown[1]!, "4");
    // The table is for everybody: marks stand in it once they are confirmed.
    const csv = () => standingsTable({ id: here.w.projectId });
    expect(await csv()).not.toContain("Design,");
    await ok(confirmEvent, here.boss, { id: here.w.judged, version: same.version + 2 });
    expect(await csv()).toContain("Design,1,no,Bramble,80.00,of 100,32,1 sheets");
    const versions = resultVersions(await resultNotes(here.w.projectId, here.w.judged));
    expect(versions.map((v) => [v.number, v.reason])).toEqual([
      [2, "A sheet was missing"],
      [1, ""],
    ]);
    expect(versions[0]!.changed).toEqual(
      expect.arrayContaining([expect.stringMatching(/^Bramble: place – → 1, points – → 32, counted – → 80$/)]),
    );
    const planned = (await programmeOf(here.w.projectId)).find((e) => e.id === here.w.judged)!;
    expect([planned.attempts, planned.made.map((m) => m.entry).sort()]).toEqual([1, ["Alder", "Bramble"]]);
  });

  test("criteria are kept by their keys, and none stands twice", async () => {
    const input = { projectId: here.w.projectId, name: "Poster", most: 5, method: "adjusted", tie: "heaviest" };
    const two = [
      { name: "Clarity", weight: "2" },
      { name: "Sketches", weight: "1" },
    ];
    const { id } = await ok(saveJudgedEvent, here.boss, { ...input, criteria: two });
    const again = [
      { name: "Speech", weight: "1" },
      { key: "c2", name: "Drawings", weight: "1" },
    ];
    await ok(saveJudgedEvent, here.boss, { ...input, id, version: 1, criteria: again });
    const [e] = await judgedEventsOf(here.w.projectId, db(), id);
    expect(e!.rules.criteria.map((c) => [c.key, c.name])).toEqual([
      ["c1", "Speech"],
      ["c2", "Drawings"],
    ]);
    await refused(
      saveJudgedEvent,
      here.boss,
      { ...input, name: "B", criteria: [two[0], { name: "clarity", weight: "1" }] },
      /there already/,
    );
  });
});

describe("a run-off", () => {
  test("orders those who are tied, is corrected, taken out, and refused where nobody is tied", async () => {
    const { id } = await ok(saveEvent, here.boss, {
      projectId: here.w.projectId,
      name: "Sprint",
      protocolId: here.w.protocol,
      channel: "m",
      better: "more",
      school: "best",
      n: 3,
      foul: "out",
      ranking: "competition",
      ties: "resolution",
      resolution: "0.5",
      tieBreaks: ["runoff"],
      seed: "1",
    });
    const read = async () => (await eventsOf(here.w.projectId)).find((e) => e.id === id)!;
    for (const b of [here.w.build, here.w.otherBuild]) await inspected(here.boss, b);
    for (const [i, e] of (await read()).entries.entries())
      await ok(scoreAttempt, here.boss, {
        id: randomUUID(),
        entryId: e.id,
        state: "valid",
        readings: { m: i ? "8.6" : "8.4" },
      });
    const [tie] = runOffs(await read());
    expect(tie).toMatchObject({ broken: false, says: expect.stringContaining("a run-off breaks it") });
    const tied = tie!.entries.map((x) => x.value);
    const record = async (order: string[]) =>
      ok(recordRunOff, here.boss, { id, version: (await read()).version, tied, order, reason: "One more each" });
    await record(tied);
    const order = async () => (await read()).standings.map((s) => [s.id, s.place, s.decidedBy]);
    expect(await order()).toEqual([
      [tied[0], 1, expect.stringContaining("run-off")],
      [tied[1], 2, expect.stringContaining("run-off")],
    ]);
    expect(runOffs(await read())).toMatchObject([{ broken: true }]);
    await record(tied.toReversed());
    expect((await order())[0]![0]).toBe(tied[1]);
    await record([]);
    expect((await order()).map((x) => x[1])).toEqual([1, 1]);
    const version = (await read()).version;
    await refused(recordRunOff, here.boss, { id, version, tied, order: [tied[0]!], reason: "x" }, /one place/);
    await refused(recordRunOff, here.boss, { id, version, tied: [tied[0]!], reason: "x" }, /not tied/);
    await refused(
      recordRunOff,
      here.boss,
      { id: here.w.event, version: 1, tied: [here.w.entry], reason: "x" },
      /do not break ties/,
    );
  });
});
