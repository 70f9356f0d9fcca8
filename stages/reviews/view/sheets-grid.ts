import { type Criterion, teamPart } from "@/core/sheet/sheet";
import type { Review } from "../queries/reviews";

/** A team's sheet as a row of the class grid. */
export interface SheetRow {
  readonly reviewId: string;
  readonly team: string;
  readonly build: string;
  /** Which version of the reader's own sheet this is; 0 for none. */
  readonly version: number;
  readonly comment: string;
  /** By criterion. */
  readonly marks: Readonly<Record<string, { points: string; comment: string }>>;
}

/** What is known of a cell while it is typed: a level, the beginning of one, or none of them. */
export type TypedLevel = "empty" | "level" | "begun" | "wrong";

/** Points as they are kept, from how they are typed. */
export const pointsOf = (typed: string): string => typed.trim().replace(",", ".");

/**
 * Whether what is typed is a level of a criterion; one that could go on to another is only begun until it is left.
 */
export function typedLevel(typed: string, levels: readonly { readonly points: string }[]): TypedLevel {
  const text = pointsOf(typed);
  if (!text) return "empty";
  const is = isLevel(text, levels);
  const goesOn = levels.some((l) => l.points.startsWith(text) && l.points !== text);
  if (is && !goesOn) return "level";
  return is || goesOn ? "begun" : "wrong";
}

/** Whether what was typed and left is a level: what goes on to no other, or was not gone on with. */
export const isLevel = (typed: string, levels: readonly { readonly points: string }[]): boolean =>
  typed.trim() !== "" && levels.some((l) => Number(l.points) === Number(pointsOf(typed)));

/** The sheets of one reviewer for all teams of a review that is not decided, under the rubric of the first of them. */
export function sheetsGrid(
  reviews: readonly Review[],
  title: string,
  personId: string,
): { criteria: readonly Criterion[]; rows: SheetRow[]; apart: string[] } {
  const open = reviews.filter((r) => r.title === title && !r.verdict);
  const rubric = open[0]?.rubricVersionId;
  const rows = open
    .filter((r) => r.rubricVersionId === rubric)
    .map((r): SheetRow => {
      const own = r.sheets.find((s) => s.raterPerson === personId);
      return {
        reviewId: r.id,
        team: r.team,
        build: r.build ? `G${r.build}` : "no build",
        version: own?.version ?? 0,
        comment: own?.comment ?? "",
        marks: Object.fromEntries((own?.marks ?? []).map((m) => [m.criterion, m])),
      };
    });
  return {
    criteria: open[0] ? teamPart(open[0].definition).criteria : [],
    rows,
    apart: open.filter((r) => r.rubricVersionId !== rubric).map((r) => r.team),
  };
}
