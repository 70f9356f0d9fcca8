import { type Term, vocabulary } from "./vocabulary";

/** What came of a setting that was tried. */
export const settingOutcome = vocabulary({ worked: "", partly: "", failed: "" }, ["machine_setting.outcome"]);
export type SettingOutcome = Term<typeof settingOutcome>;

/** Whether somebody who is not trained for a machine may be booked at it. */
export const trainingStrictness = vocabulary({
  block: "Refuse: nobody is booked or starts at a machine without a training that holds",
  warn: "Warn: the booking says who is not trained; the adult at the machine decides",
});
export type TrainingStrictness = Term<typeof trainingStrictness>;

/** What came of a time at a machine. */
export const bookingOutcome = vocabulary(
  { done: "", "not finished": "not finished: more time is needed", spoilt: "spoilt: it has to be made again" },
  ["booking.outcome"],
);
export type BookingOutcome = Term<typeof bookingOutcome>;

export const incidentKind = vocabulary(
  {
    "near miss": "near miss: nobody was hurt and nothing broke, this time",
    damage: "damage: a machine, a tool or the room",
    "first aid": "first aid: treated in the room",
    injury: "injury: treated by a nurse, a doctor or a clinic",
  },
  ["incident.kind"],
);
export type IncidentKind = Term<typeof incidentKind>;

/** In what stock is counted. */
export const stockForm = vocabulary(
  { pieces: "", sheets: "", bars: "bars and lengths", metres: "", kilograms: "", litres: "" },
  ["stock_item.form"],
);
export type StockForm = Term<typeof stockForm>;

/** How stock comes and goes. */
export const stockMove = vocabulary(
  {
    bought: "",
    given: "given to the class",
    taken: "taken for a team",
    "handed back": "handed back by a team",
    scrapped: "",
    counted: "counted: it is what the count says",
  },
  ["stock_move.kind"],
);
export type StockMove = Term<typeof stockMove>;

/** What is cut. */
export const cutKind = vocabulary({ bars: "Bars and strips: cut across", sheets: "Rectangles on sheets" }, [
  "cut_list.kind",
]);
export type CutKind = Term<typeof cutKind>;

/** How a sheet is cut. */
export const cutWay = vocabulary(
  {
    edge: "From edge to edge: saw, shears, knife along a rule",
    free: "Along each piece: laser, scroll saw, free knife",
  },
  ["cut_list.way"],
);
export type CutWay = Term<typeof cutWay>;
