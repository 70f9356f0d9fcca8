// What follows from a review: marks of each alone, questions, actions with what closed them, a demonstration.
import type { Actor } from "@/core/access/can";
import { actorOf, guestActor } from "@/platform/sign-in/actors";
import { saveBuild } from "@/stages/builds/commands/builds";
import { projectState } from "@/stages/needs/queries/state";
import { createGuestLink } from "@/stages/people/commands/guests";
import { ok, refused } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { rubric, type World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { questionsOf, reviewsOf, ticksOf } from "../queries/reviews";
import { addAction, addActionPhoto, closeAction, reopenAction } from "./actions";
import { answerQuestion, askQuestion } from "./asking";
import { demonstrate } from "./demonstrating";
import { submitSheet } from "./marking";
import { arrangePacket, planReviews, saveRubric } from "./planning";

const here = worldEach("Pump");
let boss: Actor;
let mate: Actor;
let w: World;
beforeEach(async () => {
  ({ boss, w } = here);
  mate = await actorOf(w.students[0]!);
});

async function guest(role: "client" | "reviewer"): Promise<Actor> {
  const { secret } = await ok(createGuestLink, boss, { projectId: w.projectId, role, label: "Panel", days: 3 });
  return (await guestActor(secret))!;
}
const plan = async (more: object) => {
  await ok(planReviews, boss, {
    projectId: w.projectId,
    title: "Shown",
    heldOn: "2027-03-01",
    teamIds: [w.a],
    ...more,
  });
  return (await reviewsOf(w.projectId)).find((r) => r.title === "Shown")!;
};

test("a kind brings its rubric from the shelf once, its packet and who takes part", async () => {
  const first = await plan({ kind: "proposals", takesPart: "the client" });
  expect(first).toMatchObject({ rubric: "Design review", kind: "proposals", takesPart: "the client" });
  expect(first.packet).toEqual(["asked", "wishes", "proposed", "risks"]);
  await ok(planReviews, boss, {
    projectId: w.projectId,
    title: "Again",
    heldOn: "2027-03-01",
    teamIds: [w.a],
    kind: "design",
  });
  const again = (await reviewsOf(w.projectId)).find((r) => r.title === "Again")!;
  expect(again.rubricVersionId).toBe(first.rubricVersionId);
});

test("a team picks inside the parts of its packet; who arranged it meanwhile is not overwritten", async () => {
  const was = (await reviewsOf(w.projectId, w.review))[0]!.packet;
  const arrange = { id: w.review, was, parts: ["failures"], wasLeft: [], left: ["failures f1", "failures f1"] };
  await ok(arrangePacket, mate, arrange);
  expect((await reviewsOf(w.projectId, w.review))[0]).toMatchObject({
    packet: ["failures"],
    packetLeft: ["failures f1"],
  });
  expect(await refused(arrangePacket, boss, { ...arrange, was: ["failures"] })).toMatchObject({ kind: "conflict" });
  const back = { ...arrange, was: ["failures"], wasLeft: ["failures f1"], left: [] };
  await ok(arrangePacket, boss, back);
  expect((await reviewsOf(w.projectId, w.review))[0]!.packetLeft).toEqual([]);
});

describe("criteria by which each is marked alone", () => {
  const speaks = { ...rubric[0]!, key: "say", name: "Speaks", individual: true };
  const planned = async () => {
    const criteria = [...rubric, speaks];
    const { id } = await ok(saveRubric, boss, { projectId: w.projectId, name: "Both", criteria });
    return plan({ rubricId: id });
  };
  const sheet = (reviewId: string, persons: object[] | undefined, version = 0) => ({
    reviewId,
    version,
    raterName: "Mara",
    marks: [{ criterion: "fit", points: "4" }],
    persons,
  });
  test("stand beside the team's, and stay where a later sheet says nothing of them", async () => {
    const r = await planned();
    const [one] = w.students;
    await ok(submitSheet, boss, sheet(r.id, [{ criterion: "say", person: one, points: "0" }]));
    await ok(submitSheet, boss, sheet(r.id, undefined, 1));
    const kept = (await reviewsOf(w.projectId)).find((x) => x.id === r.id)!.sheets[0]!;
    expect(kept.persons).toEqual([{ criterion: "say", person: one, points: "0" }]);
    expect(kept.marks.map((m) => m.criterion)).toEqual(["fit"]);
  });
  test.each([
    [{ criterion: "fit", points: "4" }, "by something that the rubric does not have"],
    [{ criterion: "say", points: "3" }, "3 is none of its levels"],
  ])("%j is refused", async (mark, words) => {
    const r = await planned();
    expect(await refused(submitSheet, boss, sheet(r.id, [{ ...mark, person: w.students[0] }]))).toMatchObject({
      message: expect.stringContaining(words),
    });
  });
  test("somebody of another team is refused", async () => {
    const r = await planned();
    const other = { criterion: "say", points: "4", person: w.students.at(-1) };
    expect(await refused(submitSheet, boss, sheet(r.id, [other]))).toMatchObject({
      message: expect.stringContaining("not in the team"),
    });
  });
});

test("a guest asks under a name; the team answers, and the answer can be taken back", async () => {
  const r = await plan({});
  const ask = { reviewId: r.id, raterName: "Ida", question: "Why cork?" };
  const { id } = await ok(askQuestion, await guest("reviewer"), ask);
  await ok(answerQuestion, mate, { id, version: 1, answer: "It was at hand." });
  expect(await questionsOf(r.id)).toMatchObject([{ question: "Why cork?", askedBy: "Ida", answer: "It was at hand." }]);
  expect(await refused(answerQuestion, boss, { id, version: 1, answer: "Else" })).toMatchObject({ kind: "conflict" });
  await ok(answerQuestion, boss, { id, version: 2, answer: "" });
  expect(await questionsOf(r.id)).toMatchObject([{ answer: "", answeredBy: null }]);
});

describe("actions", () => {
  const open = async () => (await reviewsOf(w.projectId, w.review))[0]!.actions;
  test("are closed by a build or run of the team, with a picture, and opened again", async () => {
    const wrong = { id: w.action, version: 1, evidence: "See it", buildId: w.otherBuild };
    expect(await refused(closeAction, mate, wrong)).toMatchObject({ fields: { buildId: expect.any(String) } });
    await ok(addActionPhoto, mate, { id: w.action, base64: await picture(), caption: "The seal" });
    await ok(closeAction, mate, { ...wrong, buildId: w.build, runId: w.run });
    const [a] = await open();
    expect(a).toMatchObject({ closingEvidence: "See it", closingBuild: w.build });
    expect(a!.closingRun).toMatch(`/bench?protocol=${w.protocol}&build=${w.build}`);
    expect(a!.photos).toHaveLength(1);
    await ok(reopenAction, boss, { id: w.action, version: 2 });
    expect((await open())[0]).toMatchObject({ closedAt: null, closingBuild: null, closingRun: null });
  });
  test("that change the design are pointed at once a build is made without, and closed by one with them", async () => {
    const due = { reviewId: w.review, dueOn: "2027-03-10" };
    const { id } = await ok(addAction, boss, { ...due, what: "Brace the frame", changesDesign: true });
    await ok(addAction, boss, { ...due, what: "Measure the leak" });
    const build = { teamId: w.a, stage: "prototype", builtOn: "2027-03-01", whatChanged: "A longer lever" };
    await ok(saveBuild, mate, build);
    const flags = async () => (await open()).map((a) => [a.what, a.builtWithout]);
    expect(await flags()).toEqual(
      expect.arrayContaining([
        ["Brace the frame", 2],
        ["Measure the leak", null],
      ]),
    );
    const next = await ok(saveBuild, mate, { ...build, whatChanged: "A brace", carries: [id] });
    const done = (await open()).find((a) => a.id === id);
    expect(done).toMatchObject({ closingBuild: next.id, builtWithout: null, closingEvidence: "G3: A brace" });
  });
});

describe("a demonstration", () => {
  const verdict = async () => (await projectState(w.projectId)).verdict(w.seen, w.build);
  const tick = (reviewId: string, outcome: string, more: object[] = []) => ({
    reviewId,
    who: "Garden's coordinator",
    wishes: [{ requirementId: w.seen, outcome, word: "by hand" }, ...more],
  });
  test("is evidence for what nobody measures; what is measured keeps its verdict", async () => {
    const r = await plan({ kind: "demonstration" });
    const client = await guest("client");
    const measured = { requirementId: w.mass, outcome: "not met", word: "too heavy for me" };
    const before = (await projectState(w.projectId)).verdict(w.mass, w.build);
    expect(await ok(demonstrate, client, tick(r.id, "partly", [measured]))).toEqual({ evidence: 1 });
    expect(await verdict()).toBe("marginal");
    expect((await projectState(w.projectId)).verdict(w.mass, w.build)).toBe(before);
    await ok(demonstrate, client, tick(r.id, "met"));
    expect(await verdict()).toBe("met");
    expect((await ticksOf([r.id])).map((t) => [t.outcome, t.word]).sort()).toEqual([
      ["met", "by hand"],
      ["not met", "too heavy for me"],
    ]);
  });
  test("is asked for at a review of its kind, of this project's wishes, each once", async () => {
    expect(await refused(demonstrate, boss, tick(w.review, "met"))).toMatchObject({
      message: expect.stringContaining("client demonstration"),
    });
    const r = await plan({ kind: "demonstration" });
    const twice = { requirementId: w.seen, outcome: "not met" };
    expect(await refused(demonstrate, boss, tick(r.id, "met", [twice]))).toMatchObject({
      message: expect.stringContaining("twice"),
    });
  });
});
