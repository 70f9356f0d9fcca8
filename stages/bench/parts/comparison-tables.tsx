import { formatNumber } from "@/core/quantity/quantity";
import type { Channel } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { sizeOf } from "../view/bench";
import type { Group, PairLine } from "../view/compare";

const shown = (x: number | null, digits: number) => (x === null ? "–" : formatNumber(x, digits));

/** Groups of runs with their spread: number, mean, standard deviation and the interval of the mean. */
export function GroupsTable({
  slug,
  groups,
  channel,
  digits,
  protocolId,
  name,
}: {
  slug: string;
  groups: readonly Group[];
  channel: Channel;
  digits: number;
  /** Set where a group is a build, whose mean opens its working. */
  protocolId?: string;
  /** What the groups are: “Build”, or the design variable. */
  name: string;
}) {
  return (
    <DataTable
      caption={`${channel.name} by ${name.toLowerCase()}`}
      columns={[
        { key: "name", text: name },
        { key: "n", text: "n", num: true },
        { key: "mean", text: headed({ name: "Mean", unit: channel.unit }), num: true },
        { key: "sd", text: "Spread (sd)", num: true },
        { key: "interval", text: "95 % interval of the mean", num: true },
      ]}
      rows={groups.map((g) => ({
        id: g.id,
        cells: {
          name: { value: g.label, show: <span className="font-[600]">{g.label}</span> },
          n: { value: g.runs.length },
          mean: {
            value: g.mean,
            show:
              g.mean !== null && protocolId ? (
                <Figure working={workingAt(slug, "summary", { build: g.id, protocol: protocolId, key: channel.key })}>
                  {formatNumber(g.mean, digits)}
                </Figure>
              ) : (
                shown(g.mean, digits)
              ),
          },
          sd: { value: g.sd, show: shown(g.sd, digits) },
          interval: {
            value: g.low,
            show: g.same ? (
              <span className="text-soft">all read the same</span>
            ) : g.low === null ? (
              "–"
            ) : (
              `${formatNumber(g.low, digits)} to ${formatNumber(g.high!, digits)}`
            ),
          },
        },
      }))}
    />
  );
}

/** Every two groups: the difference with its interval, p, and what may be said of it. */
export function PairsTable({
  pairs,
  channel,
  digits,
}: {
  pairs: readonly PairLine[];
  channel: Channel;
  digits: number;
}) {
  const changes = pairs.some((p) => p.changed !== null);
  return (
    <DataTable
      caption="Compared two by two"
      columns={[
        { key: "pair", text: "Compared", className: "whitespace-nowrap" },
        {
          key: "difference",
          text: channel.levels ? "Pairs of runs won" : headed({ name: "Difference", unit: channel.unit }),
          num: true,
          className: "whitespace-nowrap",
        },
        { key: "p", text: pairs.length > 1 ? "p, corrected" : "p", num: true },
        { key: "words", text: "What can be said", className: "min-w-56" },
        ...(changes ? [{ key: "changed", text: "What changed", className: "min-w-56" }] : []),
      ]}
      rows={pairs.map((x) => {
        const c = x.comparison.value;
        const told = c.kind === "compared" ? c : null;
        const size = told && sizeOf(told);
        return {
          id: `${x.a} ${x.b}`,
          cells: {
            pair: {
              value: `${x.b} against ${x.a}`,
              show: <span className="font-[600]">{`${x.b} against ${x.a}`}</span>,
            },
            difference: {
              value: told?.difference ?? null,
              show:
                c.kind === "levels" ? (
                  <Figure working={x.comparison.working}>{`${formatNumber(100 * c.share, 0)} %`}</Figure>
                ) : told ? (
                  <>
                    <Figure working={x.comparison.working}>
                      {`${told.difference < 0 ? "−" : "+"}${formatNumber(size!.size, digits)}`}
                    </Figure>
                    <span className="block text-sm text-soft">
                      {formatNumber(told.interval[0], digits)} to {formatNumber(told.interval[1], digits)}
                    </span>
                  </>
                ) : (
                  "–"
                ),
            },
            p: { value: x.p, show: x.p === null ? "–" : x.p < 0.001 ? "< 0.001" : formatNumber(x.p, 3) },
            words: {
              value: x.sentence,
              show: <span className={x.distinct ? "font-[600]" : "text-soft"}>{x.sentence}</span>,
            },
            changed: { value: x.changed ?? "" },
          },
        };
      })}
    />
  );
}
