import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { readingsFor } from "@/core/run/protocol";
import { spineOf } from "@/frame/shell/spine";
import { studentHome } from "@/frame/today/home";
import { db } from "@/platform/db/db";
import { frameOf } from "@/platform/project/frame";
import { actorOf } from "@/platform/sign-in/actors";
import { recordRun } from "@/stages/bench/commands/runs";
import { acknowledgeBrief } from "@/stages/brief/commands";
import { briefVersions } from "@/stages/brief/queries";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { eventsOf } from "@/stages/contest/queries/events";
import { stages } from "@/stages/index";
import { projectFacts } from "@/stages/needs/queries/facts";
import { projectState } from "@/stages/needs/queries/state";
import { summaryOf } from "@/stages/needs/view/verdicts";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { createSection } from "@/stages/plan/commands/projects";
import { removeDayOff } from "@/stages/plan/withdrawals";
import { finishProject } from "@/stages/records/commands/editions";
import { bestOf, editionsBefore } from "@/stages/records/queries/records";
import { closeAction } from "@/stages/reviews/commands/actions";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { freshDatabase, ok } from "@/stages/testing/database";
import { definition } from "@/stages/testing/definition";
import { inspected } from "@/stages/testing/inspected";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";

let done: () => Promise<void>;

let boss: Actor;

let w: World;

beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
});

afterAll(() => done());

beforeEach(async () => {
  w = await makeProject(boss, `Read ${randomUUID().slice(0, 6)}`);
  boss = await actorOf((boss as { id: string }).id);
});

const spine = async () => Object.fromEntries((await spineOf((await frameOf(w.slug, boss))!)).map((s) => [s.key, s]));

const listOf = (kind: string) =>
  stages.find((x) => x.downloads?.[kind])!.downloads![kind]!.make({ id: w.projectId, currency: "cr" }, "2027-03-02");

describe("the frame", () => {
  test("the spine fills from the record, stage by stage", async () => {
    const before = await spine();
    expect([
      before.brief!.filled,
      before.teams!.filled,
      before.bench!.filled,
      before.reviews!.filled,
      before.records!.filled,
    ]).toEqual([0, 2 / 3, 0.5, 0, 0]);
    const [brief] = await briefVersions(w.projectId);
    await ok(acknowledgeBrief, await actorOf(w.students[0]!), { projectId: w.projectId, briefVersionId: brief!.id });
    await ok(submitSheet, boss, { reviewId: w.review, raterName: "x", marks: [{ criterion: "fit", points: "4" }] });
    await ok(decideReview, boss, { id: w.review, version: 1, verdict: "go on" });
    await ok(finishProject, boss, { projectId: w.projectId });
    const after = await spine();
    expect([after.brief!.filled, after.reviews!.filled, after.records!.filled]).toEqual([1 / 3, 1, 1]);
    expect(after.brief!.note).toBe("v1 · read by 1 of 3");
    expect(Object.values(after).reduce((s, x) => s + x.planned, 0)).toBe(29);
  });
  test("a day off takes a session away and gives it back; a section may have its own", async () => {
    const sessions = async () => (await frameOf(w.slug, boss))!.sessions.length;
    const { id } = await ok(createSection, boss, { projectId: w.projectId, name: "9", days: [5] });
    await ok(addDaysOffToProject, boss, { projectId: w.projectId, text: "2027-02-19", sectionId: id });
    const frame = (await frameOf(w.slug, boss))!;
    expect([await sessions(), frame.calendars.get(id)!.length]).toEqual([29, 9]);
    await ok(removeDayOff, boss, { id: w.off });
    expect(await sessions()).toBe(30);
  });
  test("an address that is not there has no frame", async () => expect(await frameOf("nowhere", boss)).toBeNull());
});

test("a student's home names what is next, and lets go of what is done", async () => {
  const me = (await actorOf(w.students[0]!)) as Extract<Actor, { kind: "person" }>;
  const what = async () => (await studentHome(me, "2027-03-02"))[0]!.items.map((i) => i.what);
  expect(await what()).toEqual(["Read the brief", "Interview 1", "Mend the seal", "Drawing", "Model"]);
  await ok(closeAction, me, { id: w.action, version: 1, evidence: "photo of the new seal" });
  await ok(acknowledgeBrief, me, { projectId: w.projectId, briefVersionId: (await briefVersions(w.projectId))[0]!.id });
  expect(await what()).toEqual(["Interview 1", "Drawing", "Model"]);
});

describe("verdicts and records", () => {
  test("a better run changes what counts at once, though assessments are kept", async () => {
    const counted = async () => {
      const facts = await projectFacts(w.projectId);
      return summaryOf(facts, facts.protocols[0]!, w.build, "Q").value.counted!.toFixed(3);
    };
    expect([await counted(), (await bestOf(w.projectId, "Lift test", "Q"))!.shown]).toEqual(["8.617", "8.62"]);
    await ok(recordRun, boss, {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m: "9" },
    });
    expect([await counted(), (await bestOf(w.projectId, "Lift test", "Q"))!.shown]).toEqual(["9.018", "9.02"]);
    expect(await bestOf(w.projectId, "No such test", "Q")).toBeNull();
    expect(await editionsBefore(w.projectId)).toEqual([]);
  });
  test("a team without a build is untested, not wrong", async () => {
    const state = await projectState(w.projectId);
    const of = (requirement: string, team: string) => state.verdict(requirement, state.newest.get(team)?.id);
    expect([of(w.mass, w.a), of(w.mass, w.b), of(w.flow, w.b)]).toEqual(["met", "untested", "untested"]);
  });
  test("a scorer reads what the event's value is computed from, and nothing else", () => {
    expect(readingsFor(definition, "Q")).toEqual(["m"]);
    expect(readingsFor(definition, "m")).toEqual(["m"]);
  });
  test("standings come out as they stand", async () => {
    await inspected(boss, w.build);
    await ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "valid", readings: { m: "8.6" } });
    await ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "foul", reason: "started early" });
    const lines = (await listOf("standings")).split("\r\n");
    expect(lines[1]).toBe("Timed lift,1,no,Alder,8.6,L/min,,8.6 · foul,");
    expect(lines[2]).toBe("Timed lift,,no,Bramble,,L/min,,,");
    expect((await eventsOf(w.projectId))[0]!.state).toBe("running");
    const [{ n } = { n: 0 }] = await db()<
      { n: number }[]
    >`SELECT count(*)::int AS n FROM evidence WHERE run_id IN (SELECT id FROM run WHERE place = 'contest')`;
    expect(n).toBe(0); // the contest ranks; it does not verify requirements
  });
});
