import type { Unfinished } from "../queries/unfinished";

/** Something that is not done, and where it is done. */
export interface OpenEnd {
  readonly what: string;
  /** Below the project's address. */
  readonly path: string;
}

const some = (n: number, one: string, many: string): string => (n === 1 ? `one ${one}` : `${n} ${many}`);

/** What is not done of a project, in words, in the order of the stages; empty where it can be finished. */
export function openEnds(u: Unfinished): OpenEnd[] {
  const ends: (OpenEnd | false)[] = [
    u.questions > 0 && {
      what: `${some(u.questions, "question", "questions")} to the client without an answer`,
      path: "/needs/questions",
    },
    u.failures > 0 && {
      what: `${some(u.failures, "failure", "failures")} that no build answers`,
      path: "/builds/failures",
    },
    u.reviews > 0 && { what: `${some(u.reviews, "review", "reviews")} without a verdict`, path: "/reviews" },
    u.actions > 0 && { what: `${some(u.actions, "action", "actions")} of reviews still open`, path: "/reviews" },
    u.rounds > 0 && { what: `${some(u.rounds, "round", "rounds")} of peer ratings still open`, path: "/grades/peers" },
    u.unpublished
      ? { what: "no grade is published", path: "/grades" }
      : u.ungraded > 0 && {
          what: `${some(u.ungraded, "student", "students")} without a published grade`,
          path: "/grades",
        },
    u.appeals > 0 && { what: `${some(u.appeals, "appeal", "appeals")} without an answer`, path: "/grades" },
    u.events > 0 && { what: `${some(u.events, "event", "events")} not confirmed`, path: "/contest" },
    u.ungiven && { what: "no award is given", path: "/records/honours" },
    u.lent > 0 && { what: `${some(u.lent, "model", "models")} lent and not back`, path: "/records/models" },
    u.bookings > 0 && {
      what: `${some(u.bookings, "time", "times")} at machines asked for and not ended`,
      path: "/shop",
    },
    u.kits > 0 && { what: `${some(u.kits, "kit", "kits")} still out`, path: "/shop/stock" },
    u.incidents > 0 && { what: `${some(u.incidents, "incident", "incidents")} still open`, path: "/shop/safety" },
  ];
  return ends.filter((e) => e !== false);
}
