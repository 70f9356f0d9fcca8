// What was entered wrongly is put right, with what stood before in the audit.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { importProject } from "@/platform/bundle/bundle";
import { saveProjectBundle } from "@/platform/bundle/pack";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { correctRun, moveRun, recordRun } from "@/stages/bench/commands/runs";
import { recordChallenge, saveChallenge } from "@/stages/brief/commands";
import { challengesOf } from "@/stages/brief/queries";
import { saveBuild } from "@/stages/builds/commands/builds";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { changeEntry, renameEvent } from "@/stages/contest/commands/corrections";
import { saveEvent } from "@/stages/contest/commands/events";
import { eventsOf } from "@/stages/contest/queries/events";
import { freshen } from "@/stages/needs/queries/kept";
import { checkMilestone, saveMilestone } from "@/stages/plan/commands/milestones";
import { projectsOf } from "@/stages/plan/queries/projects";
import { archiveProject, deleteProject } from "@/stages/records/commands/archive";
import { decideReview, reopenReview, submitSheet } from "@/stages/reviews/commands/marking";
import { editReview } from "@/stages/reviews/commands/planning";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { tables } from "@/stages/tables";
import { restoreTeam, retireTeam } from "@/stages/teams/commands/teams";
import { teamsIn } from "@/stages/teams/queries/teams";
import { ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeEach(async () => {
  ({ done, boss, w } = await openClass());
});
afterEach(() => done());

const newBuild = async (teamId: string) =>
  (await ok(saveBuild, boss, { teamId, stage: "prototype", builtOn: "2027-02-23", whatChanged: "Longer stroke" })).id;

const review = async () => (await reviewsOf(w.projectId, w.review))[0]!;

test("a run goes to the build that it was of, with its evidence, as the next attempt there", async () => {
  await ok(recordRun, boss, {
    id: randomUUID(),
    buildId: w.otherBuild,
    protocolVersionId: w.versionId,
    readings: { m: "8.1" },
    conditions: { h: "1.60" },
  });
  expect(await ok(moveRun, boss, { id: w.run, version: 1, buildId: w.otherBuild, reason: "wrong team" })).toEqual({
    attempt: 2,
  });
  const [e] = await db()`SELECT build_id, build_revision FROM evidence WHERE run_id = ${w.run}`;
  expect(e).toEqual({ buildId: w.otherBuild, buildRevision: 1 });
  await freshen([w.projectId]);
  expect(await db()`SELECT DISTINCT build_id FROM run_value`).toEqual([{ buildId: w.otherBuild }]);
  expect(await execute(moveRun, boss, { id: w.run, version: 2, buildId: w.otherBuild, reason: "x" })).toMatchObject({
    message: "The run is of this build already.",
  });
  await ok(correctRun, boss, { id: w.run, version: 2, readings: { m: "8.2" }, conditions: { h: "1.6" }, reason: "y" });
});

test("a review is of the newest build until a sheet or an action is in, or until one is chosen", async () => {
  const next = await newBuild(w.a);
  // What was agreed was agreed on the build before.
  expect((await review()).buildId).toBe(w.build);
  await ok(editReview, boss, { id: w.review, version: 1, title: "R1", heldOn: "2027-02-26" });
  expect((await review()).buildId).toBe(next);
  await ok(editReview, boss, { id: w.review, version: 2, title: "R1", heldOn: "2027-02-26", buildId: w.build });
  expect(await review()).toMatchObject({ title: "R1", heldOn: "2027-02-26", buildId: w.build, buildChosen: true });
  await ok(editReview, boss, { id: w.review, version: 3, title: "R1", heldOn: "2027-02-26" });
  await ok(submitSheet, boss, { reviewId: w.review, raterName: "Mara", marks: [{ criterion: "fit", points: "4" }] });
  const later = await newBuild(w.a);
  expect([(await review()).buildId, later === next]).toEqual([next, false]);
});

test("a verdict is taken back, the sheet corrected, and the review decided anew", async () => {
  const sheet = { reviewId: w.review, raterName: "Mara", marks: [{ criterion: "fit", points: "0" }] };
  await ok(submitSheet, boss, sheet);
  await ok(decideReview, boss, { id: w.review, version: 1, verdict: "stop and rework" });
  expect(await execute(submitSheet, boss, { ...sheet, version: 1 })).toMatchObject({
    fields: { correction: expect.stringContaining("Say why") },
  });
  await ok(reopenReview, boss, { id: w.review, version: 2, reason: "The wrong team's sheet" });
  await ok(submitSheet, boss, { ...sheet, version: 1, marks: [{ criterion: "fit", points: "4" }] });
  await ok(decideReview, boss, { id: w.review, version: 3, verdict: "go on" });
  const kept = await db()`SELECT before, reason FROM audit WHERE act = 'reopenReview'`;
  expect(kept).toMatchObject([{ before: { verdict: "stop and rework" }, reason: "The wrong team's sheet" }]);
});

test("a team enters with another build, inspected anew; with an attempt made, the build stays", async () => {
  await inspected(boss, w.build);
  const next = await newBuild(w.a);
  await ok(changeEntry, boss, { id: w.entry, version: 1, buildId: next, reason: "The old one broke" });
  const entry = async () => (await eventsOf(w.projectId))[0]!.entries.find((n) => n.id === w.entry)!;
  expect(await entry()).toMatchObject({ buildId: next, inspection: "waiting" });
  expect(
    await execute(changeEntry, boss, { id: w.entry, version: 2, buildId: w.otherBuild, reason: "x" }),
  ).toMatchObject({ kind: "missing" });
  await inspected(boss, next);
  await ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "foul" });
  expect(await execute(changeEntry, boss, { id: w.entry, version: 2, buildId: w.build, reason: "x" })).toMatchObject({
    message: expect.stringContaining("has made attempts with this build"),
  });
  // The rules are fixed by now; the name is not.
  const [e] = await eventsOf(w.projectId);
  await ok(renameEvent, boss, { id: w.event, version: e!.version, name: "Lift" });
  expect((await eventsOf(w.projectId))[0]!.name).toBe("Lift");
  expect((await execute(saveEvent, boss, { id: w.event })).ok).toBe(false);
});

test("a challenge is corrected; its unit stays once a result is in it", async () => {
  const values = { projectId: w.projectId, id: w.challenge, title: "Paper tower", heldOn: "2027-01-19" };
  await ok(saveChallenge, boss, { ...values, version: 1, measure: "Load", unit: "kg", resolution: "0.01" });
  await ok(recordChallenge, boss, { id: randomUUID(), challengeId: w.challenge, who: "Table 1", value: "1.25" });
  expect(
    await execute(saveChallenge, boss, { ...values, version: 2, measure: "Load", unit: "g", resolution: "1" }),
  ).toMatchObject({ fields: { unit: expect.stringContaining("Results are in kg") } });
  await ok(saveChallenge, boss, { ...values, version: 2, measure: "Load held", unit: "kg", resolution: "0.05" });
  expect((await challengesOf(w.projectId))[0]).toMatchObject({
    title: "Paper tower",
    measure: "Load held",
    readTo: "0.05",
    results: [{ shown: "1.25" }],
  });
});

test("a milestone outside the project's dates is questioned", async () => {
  const late = { projectId: w.projectId, title: "Fair", dueOn: "2027-06-01" };
  expect(await execute(saveMilestone, boss, late)).toMatchObject({
    fields: { dueOn: expect.stringContaining("runs from 2027-01-18 to 2027-03-26") },
  });
  await ok(saveMilestone, boss, { ...late, meant: true });
});

test("a milestone is corrected; whose it is stays once it was passed", async () => {
  const values = { projectId: w.projectId, id: w.milestone, title: "Drawing handed in", dueOn: "2027-02-03" };
  await ok(saveMilestone, boss, { ...values, version: 1, scope: "team" });
  await ok(checkMilestone, boss, { milestoneId: w.milestone, teamId: w.a, doneOn: "2027-02-01" });
  expect(await execute(saveMilestone, boss, { ...values, version: 2, scope: "person" })).toMatchObject({
    fields: { scope: expect.any(String) },
  });
});

test("a retired team comes back with those who have no other team", async () => {
  await ok(retireTeam, boss, { id: w.a });
  expect((await teamsIn([w.projectId])).map((t) => t.name)).toEqual(["Bramble"]);
  expect(await ok(restoreTeam, boss, { id: w.a })).toEqual({ members: 1 });
  const back = (await teamsIn([w.projectId])).find((t) => t.id === w.a)!;
  expect(back.members.map((m) => [m.id, m.role])).toEqual([[w.students[0], "lead"]]);
  expect(await execute(restoreTeam, boss, { id: w.a })).toMatchObject({ kind: "missing" });
});

test("a project is archived, and deleted only with a bundle of what it holds, from which it comes back", async () => {
  await ok(archiveProject, boss, { projectId: w.projectId, away: true });
  expect((await projectsOf(boss))[0]!.archivedAt).not.toBeNull();
  const gone = { projectId: w.projectId, confirm: "Front" };
  expect(await execute(deleteProject, boss, gone)).toMatchObject({
    message: expect.stringContaining("Save the project"),
  });
  await saveProjectBundle(tables, w.projectId);
  await newBuild(w.a);
  expect(await execute(deleteProject, boss, gone)).toMatchObject({ message: expect.stringContaining("changed since") });
  const bundle = await saveProjectBundle(tables, w.projectId);
  expect(await execute(deleteProject, boss, { ...gone, confirm: "front" })).toMatchObject({ kind: "invalid" });
  await ok(deleteProject, boss, gone);
  const left = await db()`SELECT act, label FROM audit WHERE project_id IS NULL AND act = 'deleteProject'`;
  expect(left).toEqual([{ act: "deleteProject", label: "Front" }]);
  for (const t of ["project", "build", "run", "review", "section", "file"])
    expect([t, (await db().unsafe(`SELECT FROM ${t}`)).length]).toEqual([t, 0]);
  await importProject(tables, bundle, (boss as { id: string }).id);
  expect(await db()`SELECT title FROM project`).toEqual([{ title: "Front" }]);
});
