import { randomUUID } from "node:crypto";
import { exerciseOf, kindsFor } from "@/core/trainer/exercise";
import { db } from "@/platform/db/db";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { trainedOf, trainerFacts } from "../queries/trainer";
import { seenOf } from "../view/trainer";
import { answerExercise } from "./trainer";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const exercise = async (seed: string) => exerciseOf("round", await trainerFacts(at.w.projectId), seed)!;
const sent = async (seed: string, given: (right: string) => string) => {
  const e = await exercise(seed);
  const right = e.answer.kind === "rounded" ? e.answer.right : "";
  const { projectId } = at.w;
  return { id: randomUUID(), projectId, kind: "round", seed, seen: seenOf(e), given: given(right) };
};

test("the world's record gives exercises from its own limits, quantity and scheme", async () => {
  const facts = await trainerFacts(at.w.projectId);
  expect(kindsFor(facts)).toEqual(["limit", "round", "grade"]);
  expect(facts.limits.map((l) => l.code)).toContain("R-01");
  expect([facts.measure!.unit, facts.measure!.about, facts.conditions[0]]).toEqual(["L/min", 7.5, "lift 1.60 m"]);
});

test("an answer is judged by the exercise made anew, told with its working, and counted once", async () => {
  const input = await sent("a", (right) => right);
  const told = await ok(answerExercise, at.mate, input);
  expect([told.right, told.answer, told.working.title]).toEqual([true, input.given, "Rounded to its ±"]);
  await ok(answerExercise, at.mate, input);
  expect((await ok(answerExercise, at.mate, await sent("b", () => "1 ± 1"))).right).toBe(false);
  expect(await trainedOf(at.w.projectId, at.w.students[0]!)).toEqual([
    { personId: at.w.students[0], kind: "round", answers: 2, right: 1 },
  ]);
  expect(await trainedOf(at.w.projectId, at.w.students[1]!)).toEqual([]);
  // Another answer to the same exercise is none.
  expect((await refused(answerExercise, at.mate, { ...input, id: randomUUID() })).message).toContain(
    "answered already",
  );
});

test("an exercise that is not the one that was shown, and what is no answer, are refused in words", async () => {
  const input = await sent("c", () => "about eight");
  expect(await refused(answerExercise, at.mate, input)).toMatchObject({
    message: "Write a value and its ±, for example 8.62 ± 0.09.",
  });
  expect((await refused(answerExercise, at.mate, { ...input, seen: `${input.seen}!` })).message).toContain(
    "has changed meanwhile",
  );
  expect((await refused(answerExercise, at.mate, { ...input, kind: "pair" })).message).toContain("changed meanwhile");
  const [{ n }] = (await db()`SELECT count(*)::int AS n FROM trainer_answer WHERE seed = 'c'`) as unknown as [
    { n: number },
  ];
  expect(n).toBe(0);
});
