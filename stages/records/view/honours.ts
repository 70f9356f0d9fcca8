import type { Award } from "@/stages/contest/view/awards";
import type { HonourRow } from "../queries/honours";

/** What stands on the trophy: year, team, and what for. */
export const engraving = (year: string, title: string, team: string, says: string): string =>
  [year, team, title, says].filter(Boolean).join(" · ");

/** Awards of the record that were not given yet, a line a team; a tie has one for each. */
export function toGive(
  awards: readonly Award[],
  given: readonly Pick<HonourRow, "title" | "team">[],
): { kind: Award["kind"]; title: string; says: string; team: string }[] {
  return awards.flatMap((a) =>
    a.teams
      .filter((team) => !given.some((g) => g.title === a.title && g.team === team))
      .map((team) => ({ kind: a.kind, title: a.title, says: a.says, team })),
  );
}

/** How many letters an engraver cuts: spaces are not cut. */
export const letters = (text: string): number => [...text.replace(/\s/g, "")].length;
