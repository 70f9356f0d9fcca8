import { type Term, vocabulary } from "./vocabulary";

/** Why a team wants a look; the label says where one looks. */
export const flagKind = vocabulary(
  {
    unbuilt: "builds",
    idle: "builds",
    untested: "bench",
    stale: "needs",
    flat: "builds",
    action: "reviews",
    milestone: "plan",
    limit: "builds",
    trend: "builds",
    failure: "builds/failures",
    decided: "reviews",
  },
  ["flag_aside.kind"],
);
export type FlagKind = Term<typeof flagKind>;
