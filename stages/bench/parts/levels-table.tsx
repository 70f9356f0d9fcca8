import { levelName } from "@/core/run/reading";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";

/** Runs whose result is a level, under a name: how often each level was read. */
export interface Levelled {
  readonly id: string;
  readonly label: string;
  readonly middle: number | null;
  readonly counts: readonly number[];
}

const grain = ["#e5dccb", "#d3c4ab", "#b9a282", "#957656", "#6f5138"];

/** Groups of runs by the levels that they came to: counts, the median, and their shares as layers of one bar. */
export function LevelsTable({
  slug,
  name,
  channel,
  levels,
  groups,
  protocolId,
}: {
  slug: string;
  /** What the groups are. */
  name: string;
  channel: { readonly key: string; readonly name: string };
  levels: readonly string[];
  groups: readonly Levelled[];
  protocolId: string;
}) {
  const shade = (i: number) => grain[Math.round((i * (grain.length - 1)) / Math.max(1, levels.length - 1))];
  return (
    <DataTable
      caption={`${channel.name} by ${name.toLowerCase()}`}
      columns={[
        { key: "name", text: name },
        { key: "n", text: "n", num: true },
        { key: "median", text: "Median" },
        ...levels.map((l, i) => ({ key: `level ${i}`, text: l, num: true })),
        { key: "shares", text: "Shares", className: "w-full min-w-40" },
      ]}
      rows={groups.map((g) => {
        const n = g.counts.reduce((s, x) => s + x, 0);
        const said = g.counts.flatMap((x, i) => (x ? [`${x} of ${n} ${levels[i]}`] : [])).join(", ");
        return {
          id: g.id,
          cells: {
            name: { value: g.label, show: <span className="font-[600]">{g.label}</span> },
            n: { value: n },
            median: {
              value: g.middle,
              show:
                g.middle === null ? (
                  "–"
                ) : (
                  <Figure working={workingAt(slug, "summary", { build: g.id, protocol: protocolId, key: channel.key })}>
                    {levelName(levels, g.middle)}
                  </Figure>
                ),
            },
            ...Object.fromEntries(g.counts.map((x, i) => [`level ${i}`, { value: x, show: x || "–" }])),
            shares: {
              value: said,
              show: (
                <span role="img" aria-label={said} className="flex h-4 overflow-hidden rounded-xs border border-line">
                  {g.counts.map((x, i) => (
                    <span key={levels[i]} style={{ width: `${(100 * x) / n}%`, background: shade(i) }} />
                  ))}
                </span>
              ),
            },
          },
        };
      })}
    />
  );
}
