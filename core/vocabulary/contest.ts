import { type Term, vocabulary, without } from "./vocabulary";

/** How far an event is. */
export const eventState = vocabulary({ "set up": "", running: "", confirmed: "" }, ["event.state"]);
export type EventState = Term<typeof eventState>;

/** How an inspection ended. */
export const inspectionState = vocabulary({ waiting: "", passed: "", "turned away": "" }, ["entry.inspection"]);
export type InspectionState = Term<typeof inspectionState>;

/** What an inspector decided: two ways to end an inspection, and the end of the impound. */
export const inspectionOutcome = vocabulary(
  { passed: "passed, and impounded", "turned away": "turned away", released: "released, to be changed or repaired" },
  ["inspection.outcome"],
);
export type InspectionOutcome = Term<typeof inspectionOutcome>;

/** How an inspection ends. */
export const inspectionEnd = without(inspectionOutcome, "released");
export type InspectionEnd = Term<typeof inspectionEnd>;

/** How places go on after a tie. */
export const placeNumbering = vocabulary({
  competition: "1 2 2 4: a tie leaves the next places empty",
  dense: "1 2 2 3: no place is left empty",
  shared: "1 2½ 2½ 4: tied places are averaged",
});
export type PlaceNumbering = Term<typeof placeNumbering>;

/** Values closer than the instrument can tell. */
export const tieRule = vocabulary({
  resolution: "tie: the instrument cannot tell them apart",
  digits: "order by the recorded digits",
});
export type TieRule = Term<typeof tieRule>;

/** What breaks a tie. */
export const tieBreak = vocabulary({
  second: "second-best attempt",
  lighter: "lighter build",
  earlier: "earlier inspection",
  runoff: "run-off between those who are tied",
  lot: "lot, drawn with the event's seed",
});
export type TieBreakKind = Term<typeof tieBreak>;

/** How one reading comes from two readers. */
export const careMethod = vocabulary({
  mean: "the mean of both",
  smaller: "the smaller of both",
});
export type CareMethod = Term<typeof careMethod>;

/** Which record stands of an attempt that two people scored. */
export const twiceMethod = vocabulary({
  first: "the first record stands",
  second: "the second record stands",
  both: "they are two attempts",
});
export type TwiceMethod = Term<typeof twiceMethod>;

/** How an event is played. */
export const eventFormat = vocabulary(
  {
    attempts: "attempts: everybody tries by themselves, measured values are ranked",
    judged: "judged: judges mark what they see on sheets, marks are ranked",
    double: "double elimination: who has lost twice is out; one bad start is forgiven",
    single: "single elimination: who loses is out; the fewest matches",
    robin: "round robin: everybody meets everybody once; the fairest, and the longest",
    records: "rounds of equal records: each round pairs those who stand alike, nobody twice",
  },
  ["event.format"],
);
export type EventFormat = Term<typeof eventFormat>;

/** An event in which two meet at a time. */
export const matchFormat = without(eventFormat, "attempts", "judged");
export type MatchFormat = Term<typeof matchFormat>;

/** How a match ended. */
export const matchOutcome = vocabulary(
  {
    won: "won",
    walkover: "walkover: the other did not come",
    disqualified: "the other was disqualified, and is out of the event",
    neither: "neither: nobody came, or both were disqualified; both are out",
    drawn: "drawn",
  },
  ["match_result.outcome"],
);
export type MatchOutcome = Term<typeof matchOutcome>;

/** What decides who has won a match. */
export const matchRule = vocabulary({
  first: "the first past the mark",
  games: "the best of several games",
  measured: "a measured value of each",
  call: "the judges' call",
});
export type MatchRule = Term<typeof matchRule>;

/** How the sheets of several judges become one mark. */
export const judgeMethod = vocabulary({
  mean: "the mean of all sheets: simple; a severe judge weighs on those whom they marked",
  adjusted: "adjusted for severity: as the average judge would have marked; all teams must be connected by judges",
  trimmed: "the highest and the lowest left out: the mean of the rest, of three sheets or more",
});
export type JudgeMethod = Term<typeof judgeMethod>;

/** What is done where judged marks agree. */
export const judgeTie = vocabulary({
  shared: "the place is shared",
  heaviest: "the heaviest criterion decides: its plain mean",
});
export type JudgeTie = Term<typeof judgeTie>;

/** How one judge's sheet of an entry stands. */
export const sheetState = vocabulary({ marked: "", stepped: "stepped back", aside: "set aside" }, [
  "judge_sheet.state",
]);
export type SheetState = Term<typeof sheetState>;

/** How several events become one ranking. */
export const combineMethod = vocabulary({
  points: "sum of points: what each event's own rule gives",
  places: "sum of places: the least wins; nobody gains by far outdoing the others",
  ratio: "share of the best: each value over the best of its event",
  range: "from worst to best: 0 for the worst of an event, 1 for its best",
  score: "standard score: how many standard deviations above the mean of its event",
});
export type CombineMethod = Term<typeof combineMethod>;

/** What an award is for. */
export const awardKind = vocabulary(
  {
    champion: "champion: first overall, once every event that counts is confirmed",
    best: "best of each measured event: also who is not the champion and yet the fastest",
    judged: "best judged: first of each judged event",
    race: "winner of each event of matches",
    lightest: "lightest that finished every measured event",
    improved: "most improved: the contest's value over that of the first build tested the same way",
    records: "best record keeping: days with a notebook entry, a member",
    favourite: "favourite of the crowd: a vote on phones, one a device; not a measurement",
  },
  ["honour.kind"],
);
export type AwardKind = Term<typeof awardKind>;

/** What a board shows. */
export const boardShows = vocabulary(
  {
    running: "what runs: the event that is being scored",
    event: "an event: its standings or its bracket",
    order: "the order: who is on, who is next, who comes after",
    overall: "the overall ranking",
    vote: "the crowd's vote: where, and how many have voted",
    awards: "the awards, one by one",
    pause: "a pause",
  },
  ["board.shows"],
);
export type BoardShows = Term<typeof boardShows>;
