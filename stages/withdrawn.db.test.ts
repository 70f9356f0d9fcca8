// Whatever is taken out comes back as it was, to the last digit, with all that belonged to it.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import type { Withdrawn } from "@/platform/withdraw/withdrawal";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { addRunPhoto } from "@/stages/bench/commands/run-notes";
import { recordChallenge } from "@/stages/brief/commands";
import { addPhoto, saveBuild } from "@/stages/builds/commands/builds";
import { commands } from "@/stages/commands";
import { addSketch, saveConcept } from "@/stages/concepts/commands/concepts";
import { saveAllowedPart } from "@/stages/contest/commands/inspections";
import { recordFinding } from "@/stages/needs/commands/findings";
import { eraseStudent } from "@/stages/people/commands/erase";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { tickGate } from "@/stages/plan/commands/gates";
import { saveTask } from "@/stages/plan/commands/tasks";
import { breaksOf } from "@/stages/plan/view/days-off";
import { removeDaysOff } from "@/stages/plan/withdrawals";
import { submitSheet } from "@/stages/reviews/commands/marking";
import { saveRubric } from "@/stages/reviews/commands/planning";
import { tables } from "@/stages/tables";
import { ok } from "@/stages/testing/database";
import { definition } from "@/stages/testing/definition";
import { inspected } from "@/stages/testing/inspected";
import { table } from "@/stages/testing/matrix";
import { picture } from "@/stages/testing/picture";
import { openClass } from "@/stages/testing/school";
import { rubric, type World } from "@/stages/testing/world";
import { bringBack, purgeWithdrawn } from "./records/commands/withdrawn";
import { withdrawalsOf } from "./records/queries/records";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let other: Actor;
let w: World;
/** What each withdrawal is tried on. */
const of: Record<string, string> = {};

const first = async (query: Promise<readonly { id: string }[]>) => (await query)[0]!.id;

beforeAll(async () => {
  ({ done, boss, mate, other, w } = await openClass());
  const { projectId } = w;
  const result = randomUUID();
  await ok(recordChallenge, boss, { id: result, challengeId: w.challenge, who: "Table 1", value: "1.25 kg" });
  await ok(recordFinding, boss, { requirementId: w.seen, buildId: w.build, outcome: "met" });
  await ok(submitSheet, boss, { reviewId: w.review, raterName: "Mara", marks: [{ criterion: "fit", points: "4" }] });
  await ok(tickGate, boss, { itemId: w.gateItem, personId: w.students[0], on: true });
  await ok(saveTask, boss, { projectId, title: "Cut the lever", length: 1, after: [w.task, w.spare] });
  await db()`
    INSERT INTO peer_rating (round_id, rater_id, ratee_id, value, comment)
    VALUES (${w.peerRound}, ${w.students[0]!}, ${w.students[1]!}, 4, 'Drew it all')
  `;
  await inspected(boss, w.build);
  Object.assign(of, {
    withdrawProtocol: (await ok(saveProtocol, boss, { projectId, name: "Untried", definition })).id,
    withdrawChallenge: w.challenge,
    removeChallengeResult: result,
    withdrawBuild: w.build,
    removeEntryPicture: w.picture,
    removePhoto: (await ok(addPhoto, boss, { buildId: w.build, caption: "Side", base64: await picture() })).id,
    removeRunPhoto: (await ok(addRunPhoto, boss, { runId: w.run, caption: "Drip", base64: await picture("#68a") })).id,
    withdrawFailure: w.failure,
    withdrawSafetyCheck: w.safetyCheck,
    withdrawSeries: w.series,
    withdrawPartLine: w.partLine,
    withdrawPiece: w.piece,
    withdrawAside: w.aside,
    withdrawConcept: (await ok(saveConcept, mate, { projectId, title: "Siphon", mass: "5 lb" })).id,
    removeSketch: (await ok(addSketch, boss, { conceptId: w.concept, base64: await picture() })).id,
    withdrawSelection: w.selection,
    withdrawEvent: w.event,
    withdrawEntry: w.entry,
    withdrawMatch: w.match,
    withdrawBoard: w.board,
    withdrawBallot: w.ballot,
    withdrawInspection: await first(db()`SELECT id FROM inspection`),
    withdrawAllowedPart: (await ok(saveAllowedPart, boss, { projectId, name: "Elbow", most: 8 })).id,
    withdrawSource: w.source,
    withdrawNote: w.note,
    withdrawStatement: w.statement,
    withdrawChange: w.change,
    withdrawFinding: await first(db()`SELECT id FROM evidence WHERE kind = 'finding'`),
    withdrawEntryOfNotebook: w.entryOfNotebook,
    removeMilestone: w.spare,
    removeTask: w.task,
    removeDayOff: w.off,
    removeExtraSession: w.extra,
    removeGateItem: w.gateItem,
    withdrawReview: w.review,
    withdrawSlots: w.slotPlan,
    withdrawQuestion: w.reviewQuestion,
    withdrawStory: w.story,
    withdrawUse: w.use,
    withdrawRemark: w.remark,
    withdrawCountersign: w.sign,
    withdrawSetting: w.setting,
    withdrawBooking: w.booking,
    withdrawCheck: w.check,
    withdrawIncident: w.incident,
    withdrawStockItem: w.stock,
    withdrawStockMove: w.move,
    withdrawKit: w.kit,
    withdrawKitOut: w.kitOut,
    withdrawCutList: w.cuts,
    withdrawArtefact: w.model,
    withdrawLoan: w.loan,
    withdrawGuide: w.guide,
    withdrawGuideStep: w.step,
    withdrawHonour: w.honour,
    withdrawTopic: w.topic,
    withdrawSheet: await first(db()`SELECT id FROM sheet`),
    withdrawAction: w.action,
    withdrawPeerRound: w.peerRound,
    withdrawRubric: (await ok(saveRubric, boss, { projectId, name: "Unused", criteria: rubric })).id,
    withdrawTool: w.tool,
    removePart: w.part,
    removeConstraint: w.constraint,
    withdrawTeamPlan: w.teamPlan,
  });
});
afterAll(() => done());

/** Every row of every table that is neither the audit nor the place where withdrawn things wait. */
const school = async () => {
  const facts = tables.filter((t) => !["audit", "withdrawn", "withdrawn_row"].includes(t.name));
  return Object.fromEntries(
    await Promise.all(
      facts.map(async (t) => [
        t.name,
        (await db().unsafe<{ x: string }[]>(`SELECT x::text AS x FROM ${t.name} x`)).map((r) => r.x).sort(),
      ]),
    ),
  );
};

const withdraw = async (name: string, who: Actor = boss) => {
  const r = await execute(commands[name]!, who, { id: of[name], reason: "Not ours" });
  if (!r.ok) throw new Error(`${name}: ${r.message}`);
  return r.value as Withdrawn;
};

test("a withdrawal is tried for each kind that there is", () => {
  const kinds = Object.values(commands).filter(
    (c) => /^(withdraw|remove)/.test(c.name) && !["removeStaff", "removeDaysOff"].includes(c.name),
  );
  expect(kinds.map((c) => c.name).sort()).toEqual(Object.keys(of).sort());
});

test("what is entered in the contest, decided or leant on stays, and it is said why", async () => {
  const tried = async (name: string, id: string) => {
    const r = await execute(commands[name]!, boss, { id, reason: "x" });
    return r.ok ? "went" : r.message;
  };
  expect(await tried("withdrawBuild", w.build)).toMatch(/entered in the contest/);
  expect(await tried("withdrawProtocol", w.protocol)).toMatch(/Runs were made under this protocol|An event/);
  expect(await tried("withdrawRubric", w.rubricId)).toMatch(/Reviews are marked by this rubric/);
  expect(await tried("withdrawConcept", w.concept)).toMatch(/stands in the choice “First choice”/);
});

const alone = Object.keys(table).filter(
  (name) =>
    /^(withdraw|remove)/.test(name) &&
    ![
      "removeStaff",
      "removeDaysOff",
      "removeEntryPicture",
      "withdrawBuild",
      "withdrawCountersign",
      "withdrawEntryOfNotebook",
    ].includes(name),
);

test.each(alone)("%s: gone, and back as it was", async (name) => {
  const before = await school();
  const { withdrawn } = await withdraw(name);
  expect(await school()).not.toEqual(before);
  await ok(bringBack, boss, { id: withdrawn });
  expect(await school()).toEqual(before);
  expect(await withdrawalsOf(w.projectId, boss)).toEqual([]);
});

test("a build goes with all that was measured on it, keeps its number, and its review names it again", async () => {
  const before = await school();
  const entry = await withdraw("withdrawEntry");
  const build = await withdraw("withdrawBuild");
  expect((await school()).reading).toEqual([]);
  const next = await ok(saveBuild, boss, { teamId: w.a, stage: "prototype", builtOn: "2027-02-24", whatChanged: "x" });
  expect(next.number).toBe(2);
  // The entry leans on the build: it cannot come back first.
  expect(await execute(bringBack, boss, { id: entry.withdrawn })).toMatchObject({ kind: "refused" });
  await ok(bringBack, boss, { id: build.withdrawn });
  await ok(bringBack, boss, { id: entry.withdrawn });
  await db()`DELETE FROM build WHERE id = ${next.id}`;
  expect(await school()).toEqual(before);
});

test("a break of several days is one thing to take out and to bring back", async () => {
  await ok(addDaysOffToProject, boss, { projectId: w.projectId, text: "2027-02-22 to 2027-03-05 Half-term" });
  const before = await school();
  const days = await db()`SELECT id, on_date, reason, section_id FROM day_off WHERE reason = 'Half-term'`;
  const [halfTerm] = breaksOf(days as never).filter((b) => b.reason === "Half-term");
  expect([halfTerm!.from, halfTerm!.to, halfTerm!.ids.length]).toEqual(["2027-02-22", "2027-03-05", 12]);
  const { withdrawn } = await ok(removeDaysOff, boss, { projectId: w.projectId, ids: halfTerm!.ids });
  expect(await db()`SELECT FROM day_off WHERE reason = 'Half-term'`).toHaveLength(0);
  await ok(bringBack, boss, { id: withdrawn });
  expect(await school()).toEqual(before);
});

test("students bring back what is theirs, and nothing else", async () => {
  const [part, note, task] = [
    await withdraw("removePart", mate),
    await withdraw("withdrawEntryOfNotebook", mate),
    await withdraw("removeTask"),
  ];
  expect((await withdrawalsOf(w.projectId, mate)).map((x) => x.kind).sort()).toEqual(["notebook entry", "part"]);
  expect(await withdrawalsOf(w.projectId, other)).toEqual([]);
  for (const x of [part, note]) {
    expect(await execute(bringBack, other, { id: x.withdrawn })).toMatchObject({ kind: "forbidden" });
    await ok(bringBack, mate, { id: x.withdrawn });
  }
  expect(await execute(bringBack, mate, { id: task.withdrawn })).toMatchObject({ kind: "forbidden" });
  await ok(bringBack, boss, { id: task.withdrawn });
});

test("deleted for good, a picture goes when nothing else shows it", async () => {
  const { withdrawn } = await withdraw("removePhoto");
  // The picture of the run is another one, and stays.
  const left = () =>
    db()`SELECT FROM file f WHERE NOT EXISTS (SELECT FROM file_use WHERE file_hash = f.hash AND run_id IS NOT NULL)`;
  expect(await left()).toHaveLength(1);
  await ok(purgeWithdrawn, boss, { id: withdrawn });
  // The sketch is the same picture.
  expect(await left()).toHaveLength(1);
  const sketch = await withdraw("removeSketch");
  await ok(purgeWithdrawn, boss, { id: sketch.withdrawn });
  expect(await left()).toHaveLength(0);
});

test("an erased student stands in nothing that was withdrawn either", async () => {
  await withdraw("withdrawEntryOfNotebook", mate);
  for (const name of ["withdrawTeamPlan", "removeConstraint", "removeGateItem", "withdrawSource"]) await withdraw(name);
  const name = (mate as { name: string }).name;
  const said = async () =>
    (
      await db()<{ n: number }[]>`
        SELECT count(*)::int AS n
        FROM (SELECT content::text AS t FROM withdrawn_row UNION ALL SELECT label || withdrawn_by FROM withdrawn) x
        WHERE t LIKE ${`%${name}%`}
      `
    )[0]!.n;
  expect(await said()).toBeGreaterThan(1);
  await ok(eraseStudent, boss, { projectId: w.projectId, personId: w.students[0]!, confirm: name });
  expect(await said()).toBe(0);
  for (const x of await withdrawalsOf(w.projectId, boss)) await ok(bringBack, boss, { id: x.id });
});
