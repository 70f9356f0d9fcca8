import { formatNumber } from "@/core/quantity/quantity";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { projectState } from "@/stages/needs/queries/state";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { BuildTabs } from "../parts/build-tabs";
import { LazyTrend } from "../parts/lazy-tree";
import { partsIn } from "../queries/parts";
import { limitsView } from "../view/limits";

/** Mass, cost and size against their limits: how they went, what is left, what they come to, what has to be saved. */
export async function LimitsScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug);
  const p = frame.project;
  const [facts, settings] = await Promise.all([projectState(p.id), settingsOf(p.id)]);
  const parts = await partsIn([...facts.newest.values()].map((b) => b.id));
  const view = limitsView(facts, parts, {
    today: frame.today,
    end: p.eventOn ?? p.endsOn,
    calendars: frame.calendars,
    currency: p.currency,
    units: frame.units,
    donated: settings.donated,
  });
  const base = `/p/${slug}/builds`;
  return (
    <>
      <PageHead
        title="Limits"
        note="Mock-ups are of other material and are left out. A forecast says what goes on as it went, no more."
      />
      <BuildTabs slug={slug} />
      <div className="grid gap-5">
        {view.limits.length === 0 && view.sizes.length === 0 && (
          <Empty
            title="No limit on mass, cost or size"
            action={staff && <LinkButton href={`/p/${slug}/needs/new`}>New requirement</LinkButton>}
          >
            A requirement that limits the mass, the cost or the size of a build is followed here.
          </Empty>
        )}
        {view.limits.map((l) => (
          <Sheet key={l.code} title={`${l.measure[0]!.toUpperCase()}${l.measure.slice(1)} ${l.words}`} aside={l.code}>
            {l.rows.length > 0 && <LazyTrend of={l} />}
            <DataTable
              caption={`${l.code} by team`}
              empty="No build that counts has its value yet."
              columns={[
                { key: "team", text: "Team" },
                { key: "trend", text: "By generation" },
                { key: "left", text: `Left (${l.unit})`, num: true },
                { key: "share", text: "Contingency", num: true },
                { key: "forecast", text: `By the event (${l.unit})`, num: true },
                { key: "saving", text: "To be saved", className: "min-w-48" },
              ]}
              rows={l.rows.map((r) => ({
                id: r.teamId,
                cells: {
                  team: {
                    value: r.team,
                    show: (
                      <Link href={`${base}?team=${r.teamId}`} className="font-[600] hover:text-iron">
                        {r.team}
                      </Link>
                    ),
                  },
                  trend: { value: r.trend.map((x) => `${x.name} ${x.value.toFixed(2)}`).join(" → ") },
                  left: {
                    value: r.leftValue,
                    show: <span className={r.over ? "font-[600] text-iron" : ""}>{r.left}</span>,
                  },
                  share: { value: r.contingency, show: `${formatNumber(r.contingency, 0)} %` },
                  forecast: {
                    value: r.forecastValue,
                    show: (
                      <Figure working={r.working} className={r.saving ? "text-iron" : ""}>
                        {r.forecast}
                      </Figure>
                    ),
                  },
                  saving: {
                    value: r.saving ?? "",
                    show: r.saving ? (
                      <>
                        {r.saving} {l.unit}
                        <span className="block text-sm text-soft">
                          {r.from}{" "}
                          <Link href={`${base}/${r.build}/parts`} className="underline">
                            parts
                          </Link>
                        </span>
                      </>
                    ) : (
                      <span className="text-soft">nothing</span>
                    ),
                  },
                },
              }))}
            />
          </Sheet>
        ))}
        {view.sizes.map((s) => (
          <Sheet key={s.code} title={`Size within ${s.words}`} aside={s.code}>
            <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-4">
              {s.rows.map((r) => (
                <li key={r.team}>
                  {r.team}: <span className={r.over ? "font-[600] text-iron" : "text-soft"}>{r.left} left</span>
                </li>
              ))}
            </ul>
          </Sheet>
        ))}
      </div>
    </>
  );
}
