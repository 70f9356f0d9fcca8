import type { Verdict } from "@/core/vocabulary/needs";
import type { WishOutcome } from "@/core/vocabulary/reviews";
import type { Wish } from "../queries/packet";

/** A wish as a client ticks it at a demonstration. */
export interface WishLine {
  readonly requirementId: string;
  readonly code: string;
  /** In the client's words where there are any, else as the register has it. */
  readonly words: string;
  /** How it stands by what is measured; empty where it is not measured. */
  readonly measured: string;
  readonly outcome: WishOutcome | "";
  readonly word: string;
}

/** Everything that was asked, what the client said first; with what was ticked of it. */
export function wishLinesOf(
  state: {
    readonly requirements: readonly { id: string; code: string; statement: string; measure: string | null }[];
    verdict(requirementId: string, buildId: string): Verdict;
  },
  wishes: readonly Wish[],
  ticks: readonly { requirementId: string; outcome: WishOutcome; word: string }[],
  buildId: string | null,
): WishLine[] {
  const lines = state.requirements.map((r): WishLine & { said: boolean } => {
    const wish = wishes.find((w) => w.requirementId === r.id);
    const tick = ticks.find((t) => t.requirementId === r.id);
    return {
      requirementId: r.id,
      code: r.code,
      words: wish?.statement ?? r.statement,
      measured: r.measure && buildId ? state.verdict(r.id, buildId) : "",
      outcome: tick?.outcome ?? "",
      word: tick?.word ?? "",
      said: wish !== undefined,
    };
  });
  return [...lines.filter((l) => l.said), ...lines.filter((l) => !l.said)].map(({ said: _, ...l }) => l);
}
