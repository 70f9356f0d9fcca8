// Inspections against the database: once for all events, impounded, inspected again, taken back.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { saveBuild } from "@/stages/builds/commands/builds";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { eventsOf } from "../queries/events";
import { enteredOf, linesOf } from "../queries/inspections";
import { matchEventsOf } from "../queries/matches";
import { withdrawInspection } from "../withdrawals";
import { scoreAttempt } from "./attempts";
import { refreshEntries } from "./events";
import { inspectBuild, releaseBuild, saveAllowedPart } from "./inspections";
import { saveMatchEvent } from "./matches";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

const build = async () => (await enteredOf(w.projectId)).find((b) => b.buildId === w.build)!;
const entry = async () => (await eventsOf(w.projectId))[0]!.entries.find((n) => n.id === w.entry)!;
const heavier = async (mass: string, physical: boolean) => {
  const [b] = await db()<{ version: number }[]>`SELECT version FROM build WHERE id = ${w.build}`;
  const of = { teamId: w.a, id: w.build, stage: "prototype", builtOn: "2027-02-20", whatChanged: "First" };
  await ok(saveBuild, boss, { ...of, version: b!.version, mass, physical });
};
const asked = async (more: object) => ({
  id: randomUUID(),
  buildId: w.build,
  after: (await build()).inspections.length,
  outcome: "passed",
  ...more,
});
/** Every line as it would be found in order, with what is said of it here. */
const found = async (mass: string) => {
  const lines = await linesOf(w.projectId, w.build);
  return Object.fromEntries(
    lines.map((l) => [l.key, l.label === "mass" ? mass : l.reads === "word" ? "met" : l.declared || "0"]),
  );
};

test("nobody passes over a limit or unseen without a reason, which stays; every line is on record", async () => {
  await ok(saveAllowedPart, boss, { projectId: w.projectId, name: "Elbow", most: 8 });
  expect(await refused(inspectBuild, boss, await asked({}))).toMatchObject({
    fields: { waiver: expect.stringMatching(/^Not looked at: mass \(R-02\), .*Elbow/) },
  });
  expect(await refused(inspectBuild, boss, await asked({ typed: await found("5.3 kg") }))).toMatchObject({
    fields: { waiver: expect.stringContaining("does not keep mass (R-02)") },
  });
  expect(await refused(inspectBuild, boss, await asked({ typed: await found("heavy") }))).toMatchObject({
    fields: { [`typed.${w.mass}`]: expect.any(String) },
  });
  expect(await refused(inspectBuild, boss, await asked({ outcome: "turned away" }))).toMatchObject({
    fields: { note: "Say why it was turned away." },
  });
  const waived = await asked({ typed: await found("5.3 kg"), waiver: "The scale reads 0.4 kg too much" });
  await ok(inspectBuild, boss, waived);
  await ok(inspectBuild, boss, waived);
  expect((await build()).inspections).toMatchObject([
    {
      outcome: "passed",
      waiver: "The scale reads 0.4 kg too much",
      checks: expect.arrayContaining([
        expect.objectContaining({ typed: "5.3 kg", verdict: "not met", margin: "0.3 kg over" }),
      ]),
    },
  ]);
  const [kept] = await db()`SELECT after, reason FROM audit WHERE act = 'inspectBuild' ORDER BY id LIMIT 1`;
  expect(kept).toMatchObject({ after: { waived: ["mass (R-02)"] }, reason: "The scale reads 0.4 kg too much" });
});

test("it counts in every event, also one that is set up afterwards", async () => {
  expect((await entry()).inspection).toBe("passed");
  const { id } = await ok(saveMatchEvent, boss, {
    projectId: w.projectId,
    name: "Relay",
    format: "single",
    decides: "first",
  });
  const relay = (await matchEventsOf(w.projectId)).find((e) => e.id === id)!;
  expect(relay.entries.find((n) => n.buildId === w.build)!.inspection).toBe("passed");
  await ok(refreshEntries, boss, { id });
  expect((await entry()).inspection).toBe("passed");
});

test("two inspectors: the second is told what the first decided", async () => {
  const late = { ...(await asked({ waiver: "x" })), after: 0 };
  expect((await refused(inspectBuild, boss, late)).message).toMatch(/inspected meanwhile: passed by Mara/);
});

test("what is changed after the inspection is inspected again; a word on the record is no change", async () => {
  await heavier("4.4 kg", false);
  expect((await entry()).inspection).toBe("passed");
  await heavier("4.5 kg", true);
  expect(await entry()).toMatchObject({ inspection: "waiting", inspectionNote: "changed since it was inspected" });
  const attempt = { id: randomUUID(), entryId: w.entry, state: "foul" };
  expect((await refused(scoreAttempt, boss, attempt)).message).toContain("has not passed inspection");
  await inspected(boss, w.build);
  await ok(scoreAttempt, boss, attempt);
});

test("released it waits again; an inspection taken out lets the one before count, brought back it counts", async () => {
  expect(
    (await refused(releaseBuild, boss, await asked({ reason: "New hose", buildId: w.otherBuild }))).message,
  ).toMatch(/inspected meanwhile|not impounded|taken back/);
  await ok(releaseBuild, boss, await asked({ reason: "New hose" }));
  expect(await entry()).toMatchObject({ inspection: "waiting", inspectionNote: "released: New hose" });
  expect((await refused(releaseBuild, boss, await asked({ reason: "Again" }))).message).toContain("not impounded");
  const [last, before] = (await build()).inspections;
  expect((await refused(withdrawInspection, boss, { id: before!.id, reason: "x" })).message).toContain("only the last");
  const { withdrawn } = await ok(withdrawInspection, boss, { id: last!.id, reason: "The other pump" });
  expect((await entry()).inspection).toBe("passed");
  await ok(bringBack, boss, { id: withdrawn });
  expect((await entry()).inspection).toBe("waiting");
});
