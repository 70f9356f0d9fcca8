import { decimalsFor } from "@/core/quantity/quantity";
import { primaryOf, readTo } from "@/core/run/protocol";
import { planRuns, pooledSd, tellsOf } from "@/core/stats/experiment";
import { readFactors } from "@/core/stats/factors";
import type { Protocol } from "../queries/runs";
import { experiment } from "../schema";

/** What the address says of an experiment, as it was typed. */
export interface Asked {
  readonly protocol?: string;
  readonly factors?: string;
  readonly repeats?: string;
  readonly minutes?: string;
  readonly seed?: string;
}

/** An experiment worked out: its runs in their drawn order, how long it takes, and what it will be able to tell. */
export function experimentView(
  asked: Asked,
  protocol: Protocol,
  /** The runs of each build so far, in the primary channel's unit. */
  soFar: readonly (readonly number[])[],
) {
  const d = protocol.definition;
  const channel = primaryOf(d);
  // Levels have no distance: no scatter of theirs says what a test will tell.
  const sd = channel.levels ? null : pooledSd(soFar);
  const shared = {
    channel,
    sd,
    /** How many runs tell of the scatter. */
    known: soFar.filter((g) => g.length > 1).reduce((n, g) => n + g.length, 0),
    digits: decimalsFor(readTo(d, d.primary)) + 1,
  };
  if (!asked.factors || !experiment.isValidSync(asked)) return { ...shared, plan: null };
  const typed = experiment.cast(asked);
  const read = readFactors(typed.factors);
  if (!read.ok) return { ...shared, plan: null };
  const runs = planRuns(read.factors, typed.repeats, typed.seed);
  return {
    ...shared,
    plan: {
      factors: read.factors,
      runs,
      repeats: typed.repeats,
      minutes: typed.minutes * runs.length,
      seed: typed.seed,
      tells: tellsOf(read.factors, typed.repeats, sd),
    },
  };
}

/** Minutes as people say them. */
export const howLong = (minutes: number): string => {
  const [h, m] = [Math.floor(Math.ceil(minutes) / 60), Math.ceil(minutes) % 60];
  return h ? `${h} h ${m ? `${m} min` : ""}`.trim() : `${m} min`;
};
