import type { MarkScale } from "@/core/grades/mark";
import type { MarkScaleKind } from "@/core/vocabulary/grades";

/** The scale of a component's marks as it stands in the scheme's form. */
export interface TypedScale {
  readonly scale: MarkScaleKind;
  readonly of: string;
  /** A letter with its percent in each line. */
  readonly letters: string;
}

/** A scale in the form; letters begin with a table to be changed. */
export const typedScale = (scale: MarkScale = { kind: "percent" }): TypedScale => ({
  scale: scale.kind,
  of: scale.kind === "points" ? scale.of : "20",
  letters: (scale.kind === "letters"
    ? scale.table
    : ["A 95", "B 85", "C 75", "D 65", "F 50"].map((l) => ({ letter: l[0]!, percent: l.slice(2) }))
  )
    .map((l) => `${l.letter} ${l.percent}`)
    .join("\n"),
});

/** The scale that was typed; a line that is no letter with a percent comes without one, and is refused by its name. */
export function readScale(typed: TypedScale): MarkScale {
  if (typed.scale === "percent") return { kind: "percent" };
  if (typed.scale === "points") return { kind: "points", of: typed.of.trim().replace(",", ".") };
  const lines = typed.letters.split("\n").flatMap((l) => l.trim() || []);
  return {
    kind: "letters",
    table: lines.map((line) => {
      const [, letter, percent] = /^(\S{1,8}?)[\s:=]+(\d+(?:[.,]\d+)?)\s*%?$/.exec(line) ?? [];
      return { letter: letter ?? line.slice(0, 8), percent: (percent ?? "").replace(",", ".") };
    }),
  };
}
