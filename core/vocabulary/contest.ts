import { type Term, vocabulary } from "./vocabulary";

/** How far an event is. */
export const eventState = vocabulary({ "set up": "", running: "", confirmed: "" }, ["event.state"]);
export type EventState = Term<typeof eventState>;

/** How an inspection ended. */
export const inspectionState = vocabulary({ waiting: "", passed: "", "turned away": "" }, ["entry.inspection"]);
export type InspectionState = Term<typeof inspectionState>;

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
  lot: "lot, drawn with the event's seed",
});
export type TieBreakKind = Term<typeof tieBreak>;
