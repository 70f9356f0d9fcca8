import { budgetOf, savingFrom } from "@/core/builds/budget";
import { rollUp } from "@/core/builds/parts";
import { formatSi, fromSi } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import type { DonatedMethod } from "@/core/vocabulary/builds";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf, limitWords } from "@/stages/needs/view/requirements";
import type { PartRow } from "../queries/parts";
import { margin } from "./generations";

/** Where a saving can be had, in words: from one part alone, or where most of it is. */
function whereFrom(
  largest: readonly { readonly name: string; readonly adds: string }[],
  saving: string,
  shown: (si: string) => string,
): string {
  if (!(Number(saving) > 0)) return "";
  if (!largest.length) return "list its parts to see where from";
  const alone = savingFrom(largest, saving).slice(0, 2);
  if (alone.length) return alone.map((x) => `${Math.ceil(100 * x.share)} % of ${x.name}`).join(", or ");
  const most = largest.slice(0, 2).map((l) => `${l.name} (${shown(l.adds)})`);
  return `no part alone; most is in ${most.join(", ")}`;
}

/** What the limits on mass, cost and size leave each team, from the builds that can be compared with each other. */
export function limitsView(
  facts: Pick<ProjectState, "requirements" | "teams" | "builds" | "newest">,
  parts: readonly PartRow[],
  around: {
    readonly today: string;
    readonly end: string;
    readonly calendars: ReadonlyMap<string, readonly ClassSession[]>;
    readonly currency: string;
    readonly units: ProjectUnits;
    readonly donated: DonatedMethod;
  },
) {
  const first = [...around.calendars.values()][0] ?? [];
  const limits = facts.requirements.flatMap((r) => {
    const measure = (["mass", "cost"] as const).find((m) => m === r.measure);
    const limit = limitOf(r);
    return measure && limit?.target && limit.comparator === "≤" ? [{ r, measure, limit, target: limit.target }] : [];
  });
  return {
    limits: limits.map(({ r, measure, limit, target }) => {
      const unit = limit.unit;
      const shown = (si: string) => formatSi(si, unit, 2);
      return {
        code: r.code,
        measure,
        unit: unit === "1" ? around.currency : unit,
        words: limitWords(r, around.currency),
        limit: fromSi(target, unit).toNumber(),
        rows: facts.teams.flatMap((t) => {
          const sessions = around.calendars.get(t.sectionId ?? "") ?? first;
          // A mock-up is of other material: it says nothing of the mass to come.
          const real = facts.builds.filter((b) => b.teamId === t.id && b.stage !== "mock-up" && b[measure] !== null);
          const values = real.map((b) => b[measure]!);
          const held = real.length
            ? sessionsHeld(sessions, around.today) - sessionsHeld(sessions, real[0]!.builtOn)
            : 0;
          const ahead = sessions.filter((s) => s.date > around.today && s.date <= around.end).length;
          const budget = budgetOf({ values, limit: target, held, ahead, unit });
          if (!budget) return [];
          const { value, working } = budget;
          const own = parts.filter((p) => p.buildId === real.at(-1)!.id);
          const { largest } = rollUp(own, measure, unit, around.donated).value;
          return [
            {
              team: t.name as string,
              teamId: t.id as string,
              build: real.at(-1)!.id as string,
              trend: real.map((b) => ({ name: `G${b.number}`, value: fromSi(b[measure]!, unit).toNumber() })),
              newest: shown(value.newest),
              left: shown(value.left),
              contingency: Math.round(100 * value.contingency),
              over: Number(value.left) < 0,
              forecast: shown(value.forecast),
              more: value.more,
              saving: Number(value.saving) > 0 ? shown(value.saving) : null,
              working,
              leftValue: fromSi(value.left, unit).toNumber(),
              forecastValue: fromSi(value.forecast, unit).toNumber(),
              from: whereFrom(largest, value.saving, shown),
            },
          ];
        }),
      };
    }),
    sizes: facts.requirements
      .filter((r) => r.measure === "envelope")
      .map((r) => ({
        code: r.code,
        words: limitWords(r, around.currency),
        rows: facts.teams.flatMap((t) => {
          const newest = facts.newest.get(t.id);
          const m = newest && margin(r, newest, around.units);
          return m ? [{ team: t.name as string, left: m.text, over: m.bad }] : [];
        }),
      })),
  };
}
export type LimitsView = ReturnType<typeof limitsView>;
