import { isBuildMeasure } from "@/core/needs/requirement";
import { checkLimits } from "@/data/inspection";
import { limitWords, requirementsOf } from "@/data/needs";
import { conceptsOf } from "@/data/concepts";
import { formatSi } from "@/core/quantity/quantity";
import { projectPage } from "@/server/page";
import { Empty, PageHead } from "@/ui/page";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { ConceptForm, FateForm } from "./forms";

/** Every concept with its estimates, what they break, and its fate with the reason. */
export async function ConceptsScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [concepts, requirements] = await Promise.all([conceptsOf(p.id, actor), requirementsOf(p.id)]);
  const checked = requirements.filter((r) => isBuildMeasure(r.measure));
  return (
    <>
      <PageHead title="Concepts" note={concepts.length ? `${concepts.filter((k) => k.fate === "goes on").length} go on of ${concepts.length}. Estimates are checked against ${checked.map((r) => `${r.code} (${r.measure} ${limitWords(r, p.currency)})`).join(", ") || "no limit yet"}.` : undefined}><ConceptForm projectId={p.id} /></PageHead>
      {concepts.length === 0 && <Empty title="No concept yet">Each student sketches an idea alone before anybody touches material: a title, how it works, and estimates of mass, cost and size. The estimates are checked against the limits.</Empty>}
      {concepts.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Concepts">
          <table className="table">
            <thead><tr><th>Concept</th><th>By</th><th className="num">Mass kg</th><th className="num">Cost {p.currency}</th><th>Size mm</th><th>Limits</th><th>Decision</th></tr></thead>
            <tbody>
              {concepts.map((k) => (
                <tr key={k.id} className={k.fate === "set aside" ? "text-soft" : undefined}>
                  <td className="min-w-56"><p className="font-[600]">{k.title}</p><p className="text-sm text-soft">{k.idea}</p>{k.fate === "open" && k.authorId === actor.id && <ConceptForm projectId={p.id} edit={{ id: k.id, version: k.version, title: k.title, idea: k.idea, mass: k.mass ? `${formatSi(k.mass, "kg", 2)} kg` : "", cost: k.cost ?? "", sides: k.sides ? `${k.sides.map((x) => Number(x) * 1000).join(" × ")} mm` : "" }} />}</td>
                  <td>{staff || k.authorId === actor.id ? k.author : ""}{k.team && <span className="block text-sm text-soft">{k.team}</span>}</td>
                  <td className="num">{k.mass === null ? "–" : formatSi(k.mass, "kg", 2)}</td><td className="num">{k.cost === null ? "–" : formatSi(k.cost, "1", 2)}</td><td className="whitespace-nowrap">{k.sides ? k.sides.map((x) => Math.round(Number(x) * 1000)).join(" × ") : "–"}</td>
                  <td><span className="flex gap-2">{checkLimits(requirements, k).map(({ code, status }) => <Figure key={code} working={status.working} className="border-b-0"><span className="flex items-center gap-1 text-xs text-soft">{code}<VerdictMark verdict={status.value} /></span></Figure>)}</span></td>
                  <td className="min-w-44">{staff ? <FateForm id={k.id} version={k.version} fate={k.fate} reason={k.fateReason} /> : <><span className="font-[600]">{k.fate}</span>{k.fateReason && <span className="block text-sm text-soft">{k.fateReason}</span>}</>}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </>
  );
}
