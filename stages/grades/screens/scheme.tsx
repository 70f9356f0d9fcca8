import { scaleOf } from "@/core/grades/scheme";
import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventsOf } from "@/stages/contest/queries/events";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { reviewsOf } from "@/stages/reviews/queries";
import { PageHead } from "@/ui/page";
import { showRule } from "@/ui/rule-fields-read";
import { gradeActs } from "../acts";
import { SchemeForm } from "../parts/scheme-form";
import { schemeOf } from "../queries";
import { typedScale } from "../view/typed-scale";

export async function SchemeScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, gradeActs.edit);
  const p = frame.project;
  const [scheme, reviews, milestones, protocols, events] = await Promise.all([
    schemeOf(p.id),
    reviewsOf(p.id),
    milestonesOf(p.id),
    protocolsOf(p.id),
    eventsOf(p.id),
  ]);
  const titles = [...new Set(reviews.map((r) => r.title))];
  const known =
    scheme?.definition.components.flatMap((c) => (c.source.kind === "rubric" ? [c.source.review] : [])) ?? [];
  return (
    <>
      <PageHead
        title="Grading scheme"
        note={
          scheme
            ? `Version ${scheme.number} by ${scheme.createdBy}, ${instant(scheme.createdAt)}. Published grades ` +
              "keep the scheme that they were published with."
            : "What counts, and how much. The weights make 100."
        }
      />
      <SchemeForm
        projectId={p.id}
        slug={slug}
        baseNumber={scheme?.number ?? 0}
        reviews={[...new Set([...titles, ...known])].map((t) => ({ value: t, label: t }))}
        milestones={milestones.map((m) => ({ value: m.id, label: m.title }))}
        measures={[
          ...protocols.flatMap((x) =>
            channelsOf(x.definition).map((c) => ({
              value: `protocol:${x.id}:${c.key}`,
              label: `${x.name}: ${headed(c)}, newest tested build`,
            })),
          ),
          ...events.map((e) => ({ value: `event:${e.id}`, label: `${e.name}: result (${e.definition.unit})` })),
        ]}
        defaults={{
          decimals: String(scheme?.definition.decimals ?? 1),
          components: (
            scheme?.definition.components ?? [
              { key: "", name: "", weight: "", source: { kind: "rubric", review: titles[0] ?? "" } },
            ]
          ).map((c) => ({
            key: c.key,
            name: c.name,
            weight: c.weight,
            kind: c.source.kind,
            review: c.source.kind === "rubric" ? c.source.review : "",
            milestone: c.source.kind === "milestone" ? c.source.milestone : "",
            measure:
              c.source.kind === "points"
                ? "event" in c.source.measure && c.source.measure.event
                  ? `event:${c.source.measure.event}`
                  : `protocol:${(c.source.measure as { protocol: string }).protocol}:` +
                    `${(c.source.measure as { channel: string }).channel}`
                : "",
            full: c.source.kind === "points" ? c.source.full : "100",
            ...typedScale(scaleOf(c)),
            rule: showRule(c.source.kind === "points" ? c.source.rule : null),
          })) as never,
        }}
      />
    </>
  );
}
