import { formatNumber, fromSi, toSi } from "@/core/quantity/quantity";
import { type Condition, channelsOf, primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import type { Build } from "@/stages/builds/queries/builds";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Protocol } from "../queries/runs";

interface Mark {
  /** What it is: a requirement, a best. */
  readonly label: string;
  readonly shown: string;
  /** How this build stands to it, in words; empty where it was not tested, or is the one itself. */
  readonly stands: string;
  /** The build whose it is. */
  readonly build?: string;
}

/** What an edition reached, and by which build. */
interface Best {
  readonly team: string;
  readonly build: number;
  readonly edition: string;
  readonly value: number;
}

/** What a team measures itself by: the limit, last year's best, the class's and its own, and how it came so far. */
export function toBeat(
  state: Pick<ProjectState, "builds" | "requirements" | "summary">,
  protocol: Protocol,
  build: Build,
  lastYear: Best | null,
  /** Of an older edition, where that is better still. */
  record: Best | null = null,
) {
  const d = protocol.definition;
  const primary = primaryOf(d);
  const better = (a: number, b: number) => (d.better === "more" ? a > b : a < b);
  const shown = (x: number) => showIn(primary, x, 2);
  const reached = (b: Build) => state.summary(b.id, protocol.id, d.primary);
  const own = reached(build)?.counted ?? null;
  const stands = (value: number) => {
    if (own === null || primary.levels) return "";
    const off = Math.abs(own - value);
    if (!(off > 0)) return "reached exactly";
    return better(own, value) ? `beaten by ${shown(off)}` : `${shown(off)} to go`;
  };
  const best = (builds: readonly Build[]) =>
    builds.reduce<{ build: Build; value: number; run: string | null } | null>((top, b) => {
      const s = reached(b);
      return s?.best !== null && s?.best !== undefined && (!top || better(s.best, top.value))
        ? { build: b, value: s.best, run: s.bestRun }
        : top;
    }, null);
  const ofClass = best(state.builds);
  const mine = state.builds.filter((b) => b.teamId === build.teamId);
  const ofTeam = best(mine);
  const limits = state.requirements.flatMap((r): Mark[] => {
    const limit = r.measure === `run:${protocol.id}:${d.primary}` ? limitOf(r) : null;
    if (!limit?.target || primary.levels) return [];
    const value = fromSi(limit.target, primary.unit).toNumber();
    return [{ label: `${r.code} ${limit.comparator}`, shown: shown(value), stands: stands(value) }];
  });
  const mark = (label: string, value: number, of?: Build): Mark => ({
    label,
    shown: shown(value),
    stands: of?.id === build.id ? "" : stands(value),
    ...(of && { build: of.id }),
  });
  const expected = d.theory ? (state.summary(build.id, protocol.id, d.theory)?.mean ?? null) : null;
  const theory = channelsOf(d).find((c) => c.key === d.theory);
  const steps = mine.flatMap((b) => {
    const value = reached(b)?.counted;
    return value === null || value === undefined ? [] : [{ name: `G${b.number}`, value }];
  });
  return {
    marks: [
      ...limits,
      ...(record
        ? [mark(`record of all editions, ${record.edition}: ${record.team} G${record.build}`, record.value)]
        : []),
      ...(lastYear ? [mark(`best of ${lastYear.edition}: ${lastYear.team} G${lastYear.build}`, lastYear.value)] : []),
      ...(ofClass
        ? [mark(`best of the class: ${ofClass.build.team} G${ofClass.build.number}`, ofClass.value, ofClass.build)]
        : []),
      ...(ofTeam && ofTeam.build.id !== ofClass?.build.id
        ? [mark(`best of ${build.team}: G${ofTeam.build.number}`, ofTeam.value, ofTeam.build)]
        : []),
    ],
    /** What theory gives for this build, and how much of it was measured (means of the runs that count). */
    theory:
      theory && expected !== null
        ? {
            name: theory.name,
            shown: unitAfter(showIn(theory, expected, 2), theory.unit),
            share: shareOf(reached(build)?.mean ?? null, expected, primary.unit, theory.unit),
          }
        : null,
    /** What counted generation by generation, and what each brought. */
    steps: primary.levels
      ? []
      : steps.map((s, i) => {
          const by = i ? s.value - steps[i - 1]!.value : null;
          return `${s.name} ${shown(s.value)}${by === null ? "" : ` (${by > 0 ? "+" : ""}${shown(by)})`}`;
        }),
    /** The run to look at: with which settings the best of the class was made. */
    best: ofClass?.run ? { run: ofClass.run, build: ofClass.build } : null,
  };
}
/** A measured mean as a percentage of what theory gives, each in its own unit; null where there is none. */
function shareOf(mean: number | null, expected: number, unit: string, theoryUnit: string): string | null {
  const full = Number(toSi(expected, theoryUnit));
  return mean === null || full === 0 ? null : formatNumber((100 * Number(toSi(mean, unit))) / full, 0);
}

/** With which settings a run was made: its build's design variables, and the conditions as measured or as set. */
export const settingsOfRun = (
  build: Pick<Build, "variables">,
  conditions: readonly Condition[],
  measured: Readonly<Record<string, string>>,
): { name: string; value: string }[] => [
  ...Object.entries(build.variables).map(([name, value]) => ({ name, value })),
  ...conditions.map((c) => ({
    name: c.name,
    value: measured[c.key]
      ? unitAfter(formatNumber(fromSi(measured[c.key]!, c.unit)), c.unit)
      : `${unitAfter(c.target, c.unit)}, as set`,
  })),
];
export type ToBeat = ReturnType<typeof toBeat>;
