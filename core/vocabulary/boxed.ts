import { type Term, vocabulary } from "./vocabulary";

/** What a page keeps in the browser until the server has it, and sends by the address for that. */
export const boxed = vocabulary({
  attempt: "an attempt of a contest",
  match: "a match",
  inspection: "an inspection",
  sheet: "a sheet of a judged event",
  run: "a run at the bench",
  note: "a note of an interview",
  finding: "what an inspection of a build found",
  entry: "an entry of a notebook",
  marks: "marks of a gradebook",
  review: "a sheet of a review",
  ratings: "a choice among concepts",
});
export type Boxed = Term<typeof boxed>;
