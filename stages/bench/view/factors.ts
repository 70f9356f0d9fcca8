import { axisOf } from "@/core/quantity/axis";
import { parseQuantity } from "@/core/quantity/quantity";
import { readTo } from "@/core/run/protocol";
import { crossFactors } from "@/core/stats/crossed";
import { describe } from "@/core/stats/describe";
import { byName } from "@/core/text/plain";
import type { Build } from "@/stages/builds/queries/builds";
import { axisOver, type Chosen, groupOf, type Wanted } from "./compare";

/** The design variables that take two values or more among these builds. */
export function varying(builds: readonly Build[]): string[] {
  const names = [...new Set(builds.flatMap((b) => Object.keys(b.variables)))];
  return names.filter((n) => new Set(builds.flatMap((b) => b.variables[n] ?? [])).size > 1).sort(byName);
}

/** The two variables whose combinations were measured most completely; the first two if none can be crossed. */
function likelyPair(builds: readonly Build[], names: readonly string[], x: string | undefined): (string | undefined)[] {
  const pairs = names.flatMap((a, i) => names.slice(i + 1).map((b) => [a, b] as const));
  const wanted = pairs.filter((p) => x === undefined || p.includes(x));
  const worth = ([a, b]: readonly [string, string]) => {
    const both = builds.filter((v) => v.variables[a] !== undefined && v.variables[b] !== undefined);
    const [rows, columns] = [levelsOf(both, a).length, levelsOf(both, b).length];
    const cells = new Set(both.map((v) => JSON.stringify([v.variables[a], v.variables[b]]))).size;
    return rows > 1 && columns > 1 ? cells / (rows * columns) : 0;
  };
  const best = wanted.reduce<readonly [string, string] | undefined>(
    (top, p) => (top === undefined || worth(p) > worth(top) ? p : top),
    undefined,
  );
  if (!best) return [x ?? names[0], names.find((n) => n !== (x ?? names[0]))];
  return x === undefined ? [...best] : [x, best.find((n) => n !== x)];
}

/** Levels of a variable in their order: quantities by size, words by name. */
function levelsOf(builds: readonly Build[], name: string): string[] {
  const levels = [...new Set(builds.flatMap((b) => b.variables[name] ?? []))];
  const size = (text: string) => {
    const unit = /[a-zA-Z°µ%/²³^]+$/.exec(text.trim())?.[0] ?? "1";
    const read = parseQuantity(text, unit);
    return read.ok ? Number(read.quantity.si) : null;
  };
  return levels.sort((a, b) => {
    const [x, y] = [size(a), size(b)];
    return x !== null && y !== null ? x - y : byName(a, b);
  });
}

/** What else differs among builds that are taken together, in words: it may have made the difference too. */
function besides(builds: readonly Build[], names: readonly string[]): string[] {
  const others = varying(builds).filter((n) => !names.includes(n));
  return [...(new Set(builds.map((b) => b.teamId)).size > 1 ? ["the team that built them"] : []), ...others];
}

/** Two design variables crossed: cell means, what each does, and the analysis of variance. */
export function factorsView(
  chosen: Chosen,
  all: readonly Build[],
  valuesOf: (id: string) => readonly number[],
  wanted: Wanted,
) {
  const tested = all.filter((b) => valuesOf(b.id).length > 0);
  const names = varying(tested);
  const named = names.find((n) => n === wanted.x);
  const [x, likely] = likelyPair(tested, names, named);
  const y = names.find((n) => n === wanted.y && n !== x) ?? likely;
  if (x === undefined || y === undefined) return { names, x, y, crossed: null };
  const builds = tested.filter((b) => b.variables[x] !== undefined && b.variables[y] !== undefined);
  const [rows, columns] = [levelsOf(builds, x), levelsOf(builds, y)];
  const cells = rows.flatMap((row) =>
    columns.map((column) => ({
      row,
      column,
      values: builds.filter((b) => b.variables[x] === row && b.variables[y] === column).flatMap((b) => valuesOf(b.id)),
    })),
  );
  const crossed = crossFactors(cells, [x, y], {
    unit: chosen.channel.unit,
    resolution: readTo(chosen.protocol.definition, chosen.channel.key),
  });
  return {
    names,
    x,
    y,
    crossed,
    counts: rows.map((row) =>
      columns.map((column) => cells.find((c) => c.row === row && c.column === column)!.values.length),
    ),
    besides: besides(builds, [x, y]),
    axis: axisOf(crossed.value?.table.cells.flatMap((r) => r.filter((v) => v !== null)) ?? []),
  };
}

/** One design variable against the result: the builds at each of its levels, with what else differs. */
export function variableView(all: readonly Build[], valuesOf: (id: string) => readonly number[], wanted: Wanted) {
  const tested = all.filter((b) => valuesOf(b.id).length > 0);
  const names = varying(tested);
  const x = names.find((n) => n === wanted.x) ?? names[0];
  if (x === undefined) return { names, x, groups: [], axis: axisOf([]), builds: [], besides: [] };
  const builds = tested.filter((b) => b.variables[x] !== undefined);
  const mean = (b: Build) => describe(valuesOf(b.id))!.mean;
  const groups = levelsOf(builds, x).map((level) =>
    groupOf(level, level, builds.filter((b) => b.variables[x] === level).map(mean)),
  );
  return {
    names,
    x,
    groups,
    axis: axisOver(groups),
    builds: builds.map((b) => ({ build: b, level: b.variables[x]!, mean: mean(b), runs: valuesOf(b.id).length })),
    besides: besides(builds, [x]),
  };
}
