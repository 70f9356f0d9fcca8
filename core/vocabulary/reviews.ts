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

/** What a review is for. */
export const reviewKind = vocabulary(
  {
    proposals: "Client's feedback on proposals",
    design: "Design review, before material",
    test: "Test review, after a campaign",
    demonstration: "Client demonstration",
    final: "Final review",
    presentation: "Class presentation",
  },
  ["review.kind"],
);
export type ReviewKind = Term<typeof reviewKind>;

/** How a client finds a wish met at a demonstration. */
export const wishOutcome = vocabulary({ met: "met", partly: "partly", "not met": "not met" }, [
  "demonstration_tick.outcome",
]);
export type WishOutcome = Term<typeof wishOutcome>;

/** What the clock on the day is told of a review. */
export const slotStep = vocabulary({ begin: "Begin", end: "End", back: "Take back" });
