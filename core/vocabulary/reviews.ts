import { type Term, vocabulary } from "./vocabulary";

/** What a team's packet for a review is made of. */
export const packetPart = vocabulary({
  asked: "What was asked, and how it stands",
  changed: "What changed, and why",
  figures: "Generations against limits and benchmark",
  evidence: "The best evidence",
  wishes: "The client's wishes, in the client's words",
  proposed: "As proposed, as built",
  failures: "What failed, and what was learned",
  risks: "What is at risk",
  actions: "What was agreed",
});
export type PacketPart = Term<typeof packetPart>;

/** What the clock on the day is told of a review. */
export const slotStep = vocabulary({ begin: "Begin", end: "End", back: "Take back" });
