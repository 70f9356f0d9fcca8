import type { PointsRule } from "./rule";

/** What a rule is applied to, as far as a rule has to know. */
export interface Scored {
  readonly name: string;
  /** The names that its values stand for. */
  readonly levels?: readonly string[];
}

/** A rule as it comes from a form: what its kind does not need may be missing. */
type Typed = {
  readonly [K in PointsRule["kind"]]: Partial<Extract<PointsRule, { kind: K }>> & { kind: K };
}[PointsRule["kind"]];

const same = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((x, i) => x.trim().toLowerCase() === b[i]!.trim().toLowerCase());

/**
 * What is wrong with a points rule, in words; empty when it can be applied. A reading by named levels has no distance
 * and no ratio: only its levels, or a placing, turn it into points.
 * @example checkRule({ kind: "line", anchors: [{ at: "4", points: "0" }] }) // => ["a line takes two anchors or more."]
 * @example
 * checkRule(
 *   { kind: "levels", levels: [{ name: "intact", points: "100" }, { name: "broken", points: "0" }] },
 *   { name: "Damage", levels: ["intact", "cracked", "broken"] },
 * )
 * // => ["name the levels of Damage in their order: intact, cracked, broken."]
 */
export function checkRule(rule: Typed, scored?: Scored): string[] {
  const names = scored?.levels;
  if (names && rule.kind !== "levels" && rule.kind !== "place")
    return [`${scored.name} is read by levels: choose the rule by levels, or by placing.`];
  switch (rule.kind) {
    case "line": {
      const anchors = rule.anchors ?? [];
      if (anchors.length < 2) return ["a line takes two anchors or more."];
      return new Set(anchors.map((a) => Number(a.at))).size < anchors.length
        ? ["two anchors stand at the same value."]
        : [];
    }
    case "bands":
      return rule.bands?.length ? [] : ["give at least one band."];
    case "target":
      return rule.target && rule.points && rule.perStep && Number(rule.step) > 0 && rule.floor !== undefined
        ? []
        : ["a target rule takes the target, points, points a step, a step above zero and a floor."];
    case "levels": {
      const own = (rule.levels ?? []).map((l) => l.name);
      if (!own.length) return ["give each level its points, one a line, like carries its load: 80."];
      if (names)
        return same(own, names) && rule.none === undefined
          ? []
          : [`name the levels of ${scored.name} in their order: ${names.join(", ")}.`];
      return rule.none === undefined
        ? ["a ladder is counted in rungs: say what is earned below the first, for example 0."]
        : [];
    }
    case "ratio":
      return rule.points ? [] : ["say how many points the best gets."];
    case "pass":
      return rule.points && rule.limit ? [] : ["a pass takes its points and its limit."];
    case "place":
      return rule.points?.length ? [] : ["give the points by place, the first place first."];
  }
}
