import type { RuleKind } from "@/core/vocabulary/grades";

// Points rules between their stored shape and the fields of a form.

export interface TypedRule {
  kind: RuleKind | "";
  pairs?: string;
  better?: string;
  otherwise?: string;
  points?: string;
  target?: string;
  perStep?: string;
  step?: string;
  school?: string;
  beyond?: string;
  floor?: string;
  comparator?: string;
  limit?: string;
  none?: string;
}
export const emptyRule: TypedRule = {
  kind: "",
  pairs: "",
  better: "more",
  otherwise: "0",
  points: "100",
  target: "",
  perStep: "1",
  step: "",
  school: "complete",
  beyond: "",
  floor: "0",
  comparator: "≤",
  limit: "",
  none: "",
};

/** The rule that was typed, in the shape that it is stored; null where none was chosen. */
export function readRule(t: TypedRule): Readonly<Record<string, unknown>> | null {
  const pairs = (t.pairs ?? "")
    .split("\n")
    .map((l) => l.trim().split(/[\s:;]+/))
    .filter((x) => x[0])
    .map(([at, points]) => ({ at, points: points ?? "" }));
  switch (t.kind) {
    case "line":
      return { kind: "line", anchors: pairs };
    case "bands":
      return { kind: "bands", better: t.better, bands: pairs, otherwise: t.otherwise || "0" };
    case "target":
      return {
        kind: "target",
        target: t.target,
        points: t.points,
        perStep: t.perStep,
        step: t.step,
        school: t.school,
        beyond: t.beyond || undefined,
        floor: t.floor || "0",
      };
    case "ratio":
      return { kind: "ratio", points: t.points, better: t.better };
    case "pass":
      return { kind: "pass", points: t.points, comparator: t.comparator, limit: t.limit };
    case "levels":
      return {
        kind: "levels",
        // A level's name may be several words: its points stand last.
        levels: (t.pairs ?? "").split("\n").flatMap((l) => {
          const read = /^(.*?)[\s:;]+(\S+)$/.exec(l.trim());
          return read ? [{ name: read[1]!, points: read[2]! }] : l.trim() ? [{ name: l.trim(), points: "" }] : [];
        }),
        none: t.none || undefined,
      };
    case "place":
      return { kind: "place", points: (t.pairs ?? "").trim().split(/\s+/) };
    case "":
      return null;
  }
}

/** A stored rule as fields again. */
export function showRule(rule: unknown): TypedRule {
  const r = rule as
    | (TypedRule & {
        anchors?: { at: string; points: string }[];
        bands?: { at: string; points: string }[];
        levels?: { name: string; points: string }[];
      })
    | null;
  if (!r) return emptyRule;
  const list = r.anchors ?? r.bands;
  return {
    ...emptyRule,
    ...r,
    pairs: r.levels
      ? r.levels.map((l) => `${l.name}: ${l.points}`).join("\n")
      : list
        ? list.map((p) => `${p.at} ${p.points}`).join("\n")
        : Array.isArray(r.points)
          ? (r.points as string[]).join(" ")
          : "",
    points: Array.isArray(r.points) ? "" : r.points,
  };
}
