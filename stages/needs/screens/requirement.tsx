import { notFound } from "next/navigation";
import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { PageHead } from "@/ui/page";
import { needsActs } from "../acts";
import { type MeasureChoice, RequirementForm } from "../parts/requirement-form";
import { RetireForm } from "../parts/retire-form";
import { changesOf } from "../queries/register";
import { requirementsOf } from "../queries/requirements";
import { asTyped } from "../view/requirements";

export async function RequirementScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, needsActs.edit);
  const p = frame.project;
  const [protocols, list, changes] = await Promise.all([
    protocolsOf(p.id),
    requirementsOf(p.id),
    id ? changesOf(p.id) : [],
  ]);
  const asked = changes.filter((c) => c.requirementId === id && c.state === "accepted" && !c.requirementVersion);
  const r = id ? list.find((x) => x.id === id) : undefined;
  if (id && !r) notFound();
  const measures: MeasureChoice[] = [
    { value: "mass", label: "mass of the build", unit: frame.units.mass, method: "inspection" },
    { value: "envelope", label: "size of the build (envelope)", unit: frame.units.side, method: "inspection" },
    { value: "cost", label: "cost of the parts", unit: "1", method: "inspection" },
    ...protocols.flatMap((x) =>
      channelsOf(x.definition).map((c) => ({
        value: `run:${x.id}:${c.key}`,
        label: `${x.name}: ${headed(c)}`,
        unit: c.unit,
        levels: c.levels,
        method: "test",
      })),
    ),
  ];
  return (
    <>
      <PageHead
        title={r ? `${r.code}: change` : "New requirement"}
        note={
          r ? `Version ${r.number}. Saving makes version ${r.number + 1}; the old one stays in its history.` : undefined
        }
      />
      {asked.map((c) => (
        <p key={c.id} className="mb-3 max-w-[720px] border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
          Accepted and not carried out yet: {c.what}. {c.reason} <span className="text-soft">{c.askedBy}</span>
        </p>
      ))}
      <RequirementForm
        projectId={p.id}
        slug={slug}
        measures={measures}
        currency={p.currency}
        defaults={
          r
            ? { id: r.id, version: r.rowVersion, ...asTyped(r) }
            : {
                version: 0,
                statement: "",
                kind: "constraint",
                priority: "must",
                measure: "",
                comparator: "",
                unit: "",
                target: "",
                second: "",
                sides: "",
                method: "",
                source: "",
                reason: "",
              }
        }
      />
      {r && (
        <section className="mt-8 border-t border-line pt-4">
          <h2 className="mb-2">Retire {r.code}</h2>
          <RetireForm id={r.id} version={r.rowVersion} slug={slug} />
        </section>
      )}
    </>
  );
}
