import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { createEdition, finishProject } from "@/stages/records/commands/editions";
import { bestOf } from "@/stages/records/queries/records";
import { ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { eventsOf } from "../queries/events";
import { programmeOf } from "../queries/programme";
import { scoreAttempt, voidAttempt } from "./attempts";
import { confirmEvent, drawRunOrder } from "./events";
import { saveProgramme } from "./programme";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

describe("contest and records", () => {
  const score = (m: string, id = randomUUID()) =>
    execute(scoreAttempt, boss, { id, entryId: w.entry, state: "valid", readings: { m } });
  test("inspection first, attempts limited, a retry counts once, a void attempt can be repeated", async () => {
    expect(await score("8")).toMatchObject({ ok: false, message: expect.stringContaining("not passed inspection") });
    await inspected(boss, w.build);
    const id = randomUUID();
    expect([await score("8", id), await score("8", id)]).toEqual([
      { ok: true, value: { attempt: 1, twice: null } },
      { ok: true, value: { attempt: 1, twice: null } },
    ]);
    await score("9");
    const third = randomUUID();
    await score("9.5", third);
    expect(await score("10")).toMatchObject({ ok: false, message: expect.stringContaining("all 3 attempts") });
    await ok(voidAttempt, boss, { id: third, version: 1, reason: "wrong team" });
    expect(await score("7")).toMatchObject({ ok: true, value: { attempt: 4 } });
    const [e] = await eventsOf(w.projectId);
    expect(e!.standings[0]).toMatchObject({ name: "Alder", place: 1, shown: "9.0" });
    await ok(confirmEvent, boss, { id: w.event, version: e!.version });
    expect(await score("7")).toMatchObject({ ok: false, message: expect.stringContaining("confirmed") });
  });
  test("a run order is drawn by its seed and kept", async () => {
    await ok(drawRunOrder, boss, { id: w.event, version: 1, seed: "42" });
    const order = (await eventsOf(w.projectId))[0]!.entries.map((x) => x.team);
    await ok(drawRunOrder, boss, { id: w.event, version: 2, seed: "42" });
    expect((await eventsOf(w.projectId))[0]!.entries.map((x) => x.team)).toEqual(order);
  });
  test("an event is put into the day's programme, moved with the record kept, and taken out of it", async () => {
    const of = async () => (await programmeOf(w.projectId)).find((e) => e.id === w.event)!;
    const plan = { id: w.event, lanes: 2, minutes: "6", repair: 15 };
    await ok(saveProgramme, boss, { ...plan, version: (await of()).version, starts: "9:30" });
    expect(await of()).toMatchObject({ starts: 570, lanes: 2, minutes: "6", repair: 15, attempts: 3 });
    expect(await execute(saveProgramme, boss, { ...plan, version: 1, starts: "25:00" })).toMatchObject({
      ok: false,
      fields: { starts: "Write a time of the day, like 9:30." },
    });
    expect(await execute(saveProgramme, boss, { ...plan, version: 1, starts: "10:00" })).toMatchObject({
      ok: false,
      kind: "conflict",
      fields: [{ label: "Begins at", yours: "10:00", theirs: "9:30" }],
    });
    await ok(saveProgramme, boss, { ...plan, version: (await of()).version, starts: "" });
    expect((await of()).starts).toBeNull();
  });
  test("the next edition carries what was learned, and its benchmark is this one's best", async () => {
    await ok(finishProject, boss, { projectId: w.projectId });
    const next = await ok(createEdition, boss, {
      projectId: w.projectId,
      title: "Next",
      startsOn: "2028-01-17",
      endsOn: "2028-03-24",
    });
    const carried = await requirementsOf(next.projectId);
    const [p] = await protocolsOf(next.projectId);
    expect(carried.map((r) => r.measure).filter((m) => m?.startsWith("run:"))).toEqual([`run:${p!.id}:Q`]);
    expect(await bestOf(w.projectId, p!.name, "Q")).toMatchObject({
      team: "Alder",
      build: 1,
      value: expect.closeTo(8.617, 3),
    });
  });
});
