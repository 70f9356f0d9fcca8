import type { ProjectUnits } from "@/core/quantity/systems";
import type { Channel } from "@/core/run/protocol";
import { headed, showIn } from "@/core/run/reading";
import { shortDate } from "@/platform/pages/dates";
import Link from "@/ui/link";
import { Measured } from "@/ui/measured";
import { DataTable } from "@/ui/table";
import type { Cell } from "@/ui/table-rows";
import { tip } from "@/ui/tip";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { GenerationLine } from "../view/generations";

const held = ({ value, shown, over }: GenerationLine["mass"]): Cell => ({
  value,
  show: over ? (
    <span className="font-[650] text-iron" {...tip(over)}>
      {shown}
    </span>
  ) : (
    (shown ?? "–")
  ),
});

/** Builds in a table, under their teams: what changed, what it weighs, costs and measures, and what it reached. */
export function GenerationsTable({
  slug,
  lines,
  currency,
  units,
  channel,
  protocolId,
  mayAdd,
}: {
  slug: string;
  lines: readonly GenerationLine[];
  currency: string;
  units: ProjectUnits;
  channel: Channel | undefined;
  protocolId: string | undefined;
  mayAdd: (team: string) => boolean;
}) {
  const base = `/p/${slug}/builds`;
  const teams = [...new Map(lines.map((l) => [l.team.id, l.team])).values()];
  return (
    <DataTable
      caption="Generations"
      groups={Object.fromEntries(
        teams.map((t) => [
          t.id,
          <span key={t.id} className="flex items-baseline justify-between gap-3">
            <span>
              <span className="text-ink">{t.name}</span>
              {t.section && ` · section ${t.section}`}
            </span>
            {mayAdd(t.id) && (
              <Link
                href={`${base}/new?team=${t.id}`}
                className="no-print font-normal underline decoration-line underline-offset-3 hover:text-ink"
              >
                record a build
              </Link>
            )}
          </span>,
        ]),
      )}
      columns={[
        { key: "build", text: "Build", className: "whitespace-nowrap" },
        { key: "built", text: "Built", className: "whitespace-nowrap" },
        { key: "changed", text: "What changed and why", className: "min-w-64" },
        { key: "mass", text: `Mass (${units.mass})`, label: <Measured name="Mass" unit={units.mass} />, num: true },
        { key: "cost", text: `Cost (${currency})`, label: <Measured name="Cost" unit={currency} />, num: true },
        {
          key: "size",
          text: `Size (${units.side})`,
          label: <Measured name="Size" unit={units.side} />,
          className: "whitespace-nowrap",
        },
        ...(channel
          ? [
              { key: "predicted", text: "Predicted", num: true, className: "text-soft" },
              {
                key: "reached",
                text: headed(channel),
                label: <Measured name={channel.name} unit={channel.unit} />,
                num: true,
              },
            ]
          : []),
      ]}
      rows={lines.map((l) => {
        const b = l.build;
        return {
          id: b.id,
          group: l.team.id,
          className: l.marked ? "bg-[#f1eadc]" : undefined,
          cells: {
            build: {
              value: `${l.team.name} G${b.number}`,
              show: (
                <>
                  <Link href={`${base}/${b.id}`} className="font-[650] hover:text-iron">
                    {l.team.name} G{b.number}
                  </Link>
                  <span className="block text-sm text-soft">{b.stage}</span>
                </>
              ),
            },
            built: { value: b.builtOn, show: shortDate(b.builtOn) },
            changed: {
              value: [b.whatChanged, b.why].filter(Boolean).join(": "),
              show: (
                <>
                  {b.whatChanged}
                  {b.why && <span className="block text-sm text-soft">{b.why}</span>}
                </>
              ),
            },
            mass: held(l.mass),
            cost: held(l.cost),
            size: { ...held(l.size), value: l.size.shown },
            predicted: { value: b.predicted === null ? null : Number(b.predicted), show: l.predicted ?? "–" },
            reached: {
              value: l.reached,
              show:
                l.reached === null ? (
                  "–"
                ) : (
                  <Figure
                    working={workingAt(slug, "summary", { build: b.id, protocol: protocolId!, key: channel!.key })}
                  >
                    {showIn(channel!, l.reached, 2)}
                  </Figure>
                ),
            },
          },
        };
      })}
    />
  );
}
