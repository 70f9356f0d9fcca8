import { notFound } from "next/navigation";
import { isBuildMeasure } from "@/core/needs/requirement";
import { formatSi, fromSi } from "@/core/quantity/quantity";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { asEntered } from "@/platform/schema/entered";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { limitWords } from "@/stages/needs/view/requirements";
import Link from "@/ui/link";
import { PageHead, Sheet } from "@/ui/page";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { RemoveSketch, SketchUpload, WithdrawConcept } from "../parts/buttons";
import { ClaimForm } from "../parts/claim-form";
import { ConceptForm } from "../parts/concept-form";
import { FateForm } from "../parts/fate-form";
import { fateClass, size } from "../parts/words";
import { conceptsOf, fatesOf } from "../queries/concepts";
import { mustsOf, screen } from "../view/concepts";

/** One concept: sketches, how it meets each must, and what became of it. */
export async function ConceptScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [concepts, requirements] = await Promise.all([conceptsOf(p.id, actor), requirementsOf(p.id)]);
  const k = concepts.find((x) => x.id === id);
  if (!k) notFound();
  const fates = await fatesOf(id);
  const own = k.authorId === actor.id || staff;
  const may = own && k.fate === "open";
  const checked = screen(mustsOf(requirements), k);
  const children = concepts.filter((x) => x.parents.some((y) => y.id === k.id));
  const broken = checked.filter((x) => x.status.value === "not met");
  return (
    <>
      <PageHead
        title={k.title}
        note={
          <>
            {k.author} · {fullDate(k.createdAt)} · <span className={fateClass[k.fate]}>{k.fate}</span>
            {broken.length > 0 && (
              <strong className="font-[650] text-iron"> · breaks {broken.map((b) => b.must.code).join(", ")}</strong>
            )}
          </>
        }
      >
        {may && (
          <ConceptForm
            projectId={p.id}
            slug={slug}
            units={frame.units}
            edit={{
              id: k.id,
              version: k.version,
              title: k.title,
              idea: k.idea,
              dimensions: k.dimensions,
              ...asEntered(k, frame.units),
            }}
          />
        )}
        {may && <SketchUpload conceptId={k.id} />}
        {may && k.fate === "open" && <WithdrawConcept id={k.id} goTo={`/p/${slug}/concepts`} />}
      </PageHead>
      <p className="no-print mb-3">
        <Link href={`/p/${slug}/concepts`} className="text-soft underline">
          All concepts
        </Link>
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="grid min-w-0 gap-4">
          {k.sketches.length > 0 && (
            <ul className="grid gap-3 sm:grid-cols-2">
              {k.sketches.map((f) => (
                <li key={f.id}>
                  <img
                    src={`/api/file/${f.id}`}
                    alt={f.caption || `Sketch of ${k.title}`}
                    className="max-h-80 w-full rounded-sm border border-line bg-sheet object-contain"
                  />
                  <p className="text-sm text-soft">
                    {f.caption} {may && <RemoveSketch id={f.id} />}
                  </p>
                </li>
              ))}
            </ul>
          )}
          {k.idea && <p className="max-w-[70ch] whitespace-pre-wrap">{k.idea}</p>}
          <section>
            <h2 className="mb-1.5">How it meets each must</h2>
            {checked.length === 0 ? (
              <p className="text-soft">There is no must in the register yet.</p>
            ) : (
              <ul className="sheet divide-y divide-line">
                {checked.map(({ must, status }) => {
                  const r = requirements.find((x) => x.id === must.id)!;
                  const c = k.claims[must.id];
                  const own = isBuildMeasure(must.measure);
                  const unit =
                    must.limit && !own && must.limit.comparator !== "yes" && must.limit.comparator !== "fits"
                      ? must.limit.unit
                      : null;
                  return (
                    <li key={must.id} className="grid gap-1.5 px-3 py-2">
                      <p className="flex items-baseline gap-2">
                        <Figure working={status.working} className="border-b-0">
                          <VerdictMark verdict={status.value} word />
                        </Figure>
                        <span>
                          <strong className="font-[650]">{must.code}</strong> {must.statement}{" "}
                          <span className="text-soft">{limitWords(r, p.currency)}</span>
                        </span>
                      </p>
                      {own ? (
                        <p className="text-sm text-soft">
                          Checked against the estimated {must.measure === "envelope" ? "size" : must.measure}.
                        </p>
                      ) : may ? (
                        <ClaimForm
                          key={JSON.stringify(c)}
                          conceptId={k.id}
                          requirementId={must.id}
                          says={c?.says ?? ""}
                          how={c?.how ?? ""}
                          estimate={
                            c?.estimate && unit ? `${fromSi(c.estimate, unit).toSignificantDigits(6)} ${unit}` : ""
                          }
                          unit={unit}
                        />
                      ) : (
                        c && (
                          <p className="text-sm">
                            {c.says === "yes" ? "meets it" : c.says === "no" ? "does not meet it" : "not sure"}
                            {c.how && `: ${c.how}`}
                          </p>
                        )
                      )}
                    </li>
                  );
                })}
              </ul>
            )}
          </section>
        </div>
        <aside className="grid gap-4">
          <Sheet title="Estimates">
            <dl className="grid grid-cols-2 gap-y-0.5">
              <dt className="text-soft">Mass</dt>
              <dd>
                {k.mass ? (
                  <>
                    {formatSi(k.mass, frame.units.mass, 2)}
                    <span className="unit">{frame.units.mass}</span>
                  </>
                ) : (
                  "–"
                )}
              </dd>
              <dt className="text-soft">Cost</dt>
              <dd>
                {k.cost ? (
                  <>
                    {formatSi(k.cost, "1", 2)}
                    <span className="unit">{p.currency}</span>
                  </>
                ) : (
                  "–"
                )}
              </dd>
              <dt className="text-soft">Size</dt>
              <dd>
                {size(k, frame.units)}
                {k.sides && <span className="unit">{frame.units.side}</span>}
              </dd>
              {k.dimensions
                .split("\n")
                .filter(Boolean)
                .map((d) => {
                  const [name, value] = d.split(/[=:]/);
                  return [
                    <dt key={d} className="text-soft">
                      {name}
                    </dt>,
                    <dd key={`${d}v`}>{value}</dd>,
                  ];
                })}
            </dl>
          </Sheet>
          {(k.parents.length > 0 || children.length > 0) && (
            <Sheet title="Lineage">
              {k.parents.length > 0 && (
                <p>
                  Made from{" "}
                  {k.parents.map((x, i) => (
                    <span key={x.id}>
                      {i > 0 && " and "}
                      <Link href={`/p/${slug}/concepts/${x.id}`} className="underline">
                        {x.title}
                      </Link>
                    </span>
                  ))}
                </p>
              )}
              {children.map((x) => (
                <p key={x.id}>
                  Went into{" "}
                  <Link href={`/p/${slug}/concepts/${x.id}`} className="underline">
                    {x.title}
                  </Link>
                </p>
              ))}
            </Sheet>
          )}
          <Sheet title="What became of it">
            {fates.length === 0 ? (
              <p className="text-soft">Not decided yet.</p>
            ) : (
              <ol>
                {fates.map((f) => (
                  <li key={f.id} className="border-b border-line py-1 last:border-0">
                    <strong className="font-[650]">{f.fate}</strong>{" "}
                    <span className="text-sm text-soft">
                      {instant(f.decidedAt)}, {f.decidedBy}
                    </span>
                    <span className="block">{f.reason}</span>
                  </li>
                ))}
              </ol>
            )}
            {staff && k.fate !== "merged" && (
              <div className="no-print mt-2 border-t border-line pt-2">
                <FateForm id={k.id} version={k.version} fate={k.fate} reason={k.fateReason} />
              </div>
            )}
          </Sheet>
        </aside>
      </div>
    </>
  );
}
