import { notFound } from "next/navigation";
import { fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries";
import { PageHead } from "@/ui/page";
import { needsActs } from "../acts";
import { type MeasureChoice, RequirementForm } from "../parts/requirement-form";
import { RetireForm } from "../parts/retire-form";
import { requirementsOf } from "../queries/requirements";

export async function RequirementScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, needsActs.edit);
  const p = frame.project;
  const [protocols, list] = await Promise.all([protocolsOf(p.id), requirementsOf(p.id)]);
  const r = id ? list.find((x) => x.id === id) : undefined;
  if (id && !r) notFound();
  const measures: MeasureChoice[] = [
    { value: "mass", label: "mass of the build", unit: "kg", method: "inspection" },
    { value: "envelope", label: "size of the build (envelope)", unit: "mm", method: "inspection" },
    { value: "cost", label: "cost of the parts", unit: "1", method: "inspection" },
    ...protocols.flatMap((x) =>
      channelsOf(x.definition).map((c) => ({
        value: `run:${x.id}:${c.key}`,
        label: `${x.name}: ${c.name} (${c.unit})`,
        unit: c.unit,
        method: "test",
      })),
    ),
  ];
  const back = (si: string | null, unit: string | null) =>
    si === null
      ? ""
      : fromSi(si, unit ?? "1")
          .toSignificantDigits(10)
          .toString();
  return (
    <>
      <PageHead
        title={r ? `${r.code}: change` : "New requirement"}
        note={
          r ? `Version ${r.number}. Saving makes version ${r.number + 1}; the old one stays in its history.` : undefined
        }
      />
      <RequirementForm
        projectId={p.id}
        slug={slug}
        measures={measures}
        currency={p.currency}
        defaults={
          r
            ? {
                id: r.id,
                version: r.rowVersion,
                statement: r.statement,
                kind: r.kind,
                priority: r.priority,
                measure: r.measure ?? "",
                comparator: r.comparator ?? "",
                unit: r.unit ?? "",
                target: back(r.target, r.unit),
                second: back(r.second, r.unit),
                sides: r.sides ? `${r.sides.map((x) => fromSi(x, "mm")).join(" × ")} mm` : "",
                method: r.method ?? "",
                source: r.source,
                reason: "",
              }
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
