import { decimalsFor, formatNumber } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import { type Scatter, scatterOf } from "@/core/run/pilot";
import { runState } from "@/core/vocabulary/runs";
import type { Protocol, StoredRun } from "../queries/runs";

const link = (r: number): string => {
  const size = Math.abs(r);
  return size >= 0.7
    ? "goes closely with the result"
    : size >= 0.4
      ? "goes with the result"
      : "hardly touches the result";
};

/** What the page of pilot runs shows: each run as it stands, and what they say of the protocol. */
export function pilotView(protocol: Protocol, runs: readonly StoredRun[]) {
  const d = protocol.definition;
  const assessed = runs.map((r) => assessRun(d, r));
  const { conditions, sentence } = scatterOf(d, runs, assessed);
  const row = (c: Scatter) => {
    const digits = decimalsFor(c.tolerance) + 1;
    const show = (x: number) => formatNumber(x, digits);
    return {
      ...c,
      range: c.n > 1 ? `${show(c.low)} to ${show(c.high)}` : show(c.low),
      shownSd: c.sd === null ? "–" : show(c.sd),
      shownShare:
        c.share === null ? "–" : Number.isFinite(c.share) ? `${formatNumber(100 * c.share, 0)} %` : "no tolerance",
      link: c.withResult === null ? "–" : `${link(c.withResult)} (r ${formatNumber(c.withResult, 2)})`,
    };
  };
  return {
    sentence,
    conditions: conditions.map(row),
    rows: runs.map((run, i) => ({
      run,
      assessed: assessed[i]!,
      words: run.state === "valid" ? assessed[i]!.reasons.join("; ") : runState.labels[run.state],
    })),
    next: Math.max(0, ...runs.map((r) => r.attempt)) + 1,
  };
}
