import { type Term, vocabulary } from "./vocabulary";

/** What a calculator of the handbook is about. */
export const handbookSubject = vocabulary({
  motion: "motion",
  machines: "machines and gears",
  flow: "water and wind",
  falls: "falls and impacts",
  strength: "strength and stiffness",
  stock: "sheet, strips and scale",
  electricity: "electricity",
  heat: "heat and cold",
  likeness: "tests by likeness",
  sums: "sums over parts",
});
export type HandbookSubject = Term<typeof handbookSubject>;

/** What a calculation of the handbook stays with. */
export const handbookTarget = vocabulary({
  build: "a build",
  protocol: "a protocol",
  requirement: "a requirement",
  entry: "an entry of my notebook",
});
export type HandbookTarget = Term<typeof handbookTarget>;

/** What the trainer asks. */
export const trainerKind = vocabulary(
  {
    limit: "read a limit with its ±",
    pair: "spot the confounded pair",
    next: "choose the next run",
    round: "round a value to its ±",
    grade: "compute a grade",
    fair: "plan a fair test",
  },
  ["trainer_answer.kind"],
);
export type TrainerKind = Term<typeof trainerKind>;
