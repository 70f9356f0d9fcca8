import "server-only";
import { exerciseOf, isRight } from "@/core/trainer/exercise";
import type { Working } from "@/core/working/working";
import { command, refuse } from "@/platform/command/command";
import { trainerActs } from "../acts";
import { trainerFacts } from "../queries/trainer";
import * as s from "../schema";
import { seenOf } from "../view/trainer";

/** Answers an exercise: whether it is right, what is right, and how one gets there. */
export const answerExercise = command({
  name: "answerExercise",
  together: true,
  act: trainerActs.answer,
  schema: s.answerExercise,
  subject: (_, i, actor) => ({ project: i.projectId, person: actor.kind === "person" ? actor.id : undefined }),
  async run({ sql, actor, audit }, input): Promise<{ right: boolean; answer: string; working: Working }> {
    const exercise = exerciseOf(input.kind, await trainerFacts(input.projectId, sql), input.seed);
    if (!exercise || seenOf(exercise) !== input.seen)
      return refuse("The record that this was made from has changed meanwhile. Take the next exercise.");
    const { answer, working } = exercise;
    const right = isRight(answer, input.given);
    if (right === null)
      return refuse(
        answer.kind === "rounded"
          ? "Write a value and its ±, for example 8.62 ± 0.09."
          : answer.kind === "number"
            ? "Write a number, for example 83.4."
            : "Choose one of the answers.",
        "given",
      );
    if (actor.kind !== "person") return refuse("Exercises are answered by people of the project.");
    const row = { id: input.id, projectId: input.projectId, personId: actor.id, kind: input.kind };
    await sql`
      INSERT INTO trainer_answer ${sql({ ...row, seed: input.seed, given: input.given, correct: right })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "trainer", id: input.id, label: `${input.kind}: ${right ? "right" : "wrong"}` });
    return { right, answer: answer.kind === "choice" ? answer.options[answer.right]! : answer.right, working };
  },
});
