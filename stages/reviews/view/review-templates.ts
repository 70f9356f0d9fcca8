import type { PacketPart, ReviewKind } from "@/core/vocabulary/reviews";

/** What a kind of review begins with; all of it can be changed. */
export interface ReviewTemplate {
  readonly title: string;
  /** Of the shelf. */
  readonly rubric: string;
  /** Of one team. */
  readonly minutes: number;
  readonly takesPart: string;
  /** What the packet shows, in order; empty for everything. */
  readonly packet: readonly PacketPart[];
}

export const reviewTemplates: Readonly<Record<ReviewKind, ReviewTemplate>> = {
  proposals: {
    title: "Feedback on proposals",
    rubric: "Design review",
    minutes: 15,
    takesPart: "the client and the team",
    packet: ["asked", "wishes", "proposed", "risks"],
  },
  design: {
    title: "Design review",
    rubric: "Design review",
    minutes: 20,
    takesPart: "two instructors, an engineer from outside, the team",
    packet: ["asked", "proposed", "figures", "risks", "actions"],
  },
  test: {
    title: "Test review",
    rubric: "Reasons and records",
    minutes: 20,
    takesPart: "the instructor, another team, the team",
    packet: ["changed", "evidence", "figures", "failures", "risks", "actions"],
  },
  demonstration: {
    title: "Client demonstration",
    rubric: "Final product",
    minutes: 30,
    takesPart: "the client, the instructor, the team",
    packet: ["wishes", "asked", "evidence", "proposed"],
  },
  final: {
    title: "Final review",
    rubric: "Final product",
    minutes: 30,
    takesPart: "the client, two reviewers, the instructor, the team",
    packet: [],
  },
  presentation: {
    title: "Class presentation",
    rubric: "Presentation",
    minutes: 10,
    takesPart: "the class",
    packet: ["proposed", "changed", "evidence", "failures"],
  },
};
