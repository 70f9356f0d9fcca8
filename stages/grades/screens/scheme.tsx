import { leavesOf } from "@/core/grades/scheme";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { eventChannels } from "@/stages/contest/queries/events";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { PageHead } from "@/ui/page";
import { gradeActs } from "../acts";
import { SchemeForm } from "../parts/scheme-form";
import { peerRoundsOf } from "../queries/peers";
import { isPublished } from "../queries/publications";
import { schemeOf } from "../queries/scheme";
import { measuresOf } from "../view/measures";
import { newPart, typedScheme } from "../view/typed-scheme";

/** The grading scheme, written as an outline, with what it does to the class beside it. */
export async function SchemeScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, gradeActs.edit);
  const p = frame.project;
  const [scheme, reviews, milestones, protocols, events, rounds, published] = await Promise.all([
    schemeOf(p.id),
    reviewsOf(p.id),
    milestonesOf(p.id),
    protocolsOf(p.id),
    eventChannels(p.id),
    peerRoundsOf(p.id),
    isPublished(p.id),
  ]);
  const parts = leavesOf(scheme?.definition.components ?? []);
  const known = parts.flatMap((c) => ("review" in c.source ? [c.source.review] : []));
  const titles = [...new Set([...reviews.map((r) => r.title as string), ...known])];
  return (
    <>
      <PageHead
        title="Grading scheme"
        note={
          scheme
            ? `Version ${scheme.number} by ${scheme.createdBy}, ${instant(scheme.createdAt)}` +
              `${scheme.why ? `: ${scheme.why}` : ""}. Published grades keep the scheme that they were published with.`
            : "What counts, and how much. The weights make 100; in a group they are parts of it."
        }
      />
      <SchemeForm
        projectId={p.id}
        slug={slug}
        baseNumber={scheme?.number ?? 0}
        published={published}
        sources={{
          reviews: titles.map((t) => ({ value: t, label: t })),
          milestones: milestones.map((m) => ({ value: m.id, label: m.title })),
          measures: measuresOf(protocols, events),
          rounds: rounds.map((r) => ({ value: r.id, label: r.title })),
        }}
        defaults={
          scheme
            ? typedScheme(scheme.definition)
            : { ...typedScheme({ decimals: 1, components: [] }), components: [newPart("k1", 0)] }
        }
      />
    </>
  );
}
