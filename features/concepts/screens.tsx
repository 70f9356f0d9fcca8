import { notFound } from "next/navigation";
import { isBuildMeasure } from "@/core/needs/requirement";
import { formatSi, fromSi } from "@/core/quantity/quantity";
import { type Concept, conceptsOf, fatesOf, mustsOf, screen } from "@/data/concepts";
import { limitWords, requirementsOf } from "@/data/needs";
import { mayRate, outcomeOf, pairwiseOf, selectionsOf } from "@/data/selection";
import { settingsOf } from "@/data/settings";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { fullDate, instant } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Tabs } from "@/ui/tabs";
import { VerdictLegend, VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import {
  ClaimForm,
  ConceptForm,
  FateForm,
  FirstPlaces,
  MergeForm,
  OpenConcepts,
  RemoveSketch,
  SketchUpload,
} from "./forms";
import { CloseForm, ReopenSelection, SelectionForm, StaffSheet, WeightsForm } from "./selection-forms";

const ConceptTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Concepts"
    pages={[
      { href: `/p/${slug}/concepts`, label: "Concepts" },
      { href: `/p/${slug}/concepts/choose`, label: "Choosing" },
    ]}
  />
);
const size = (k: Concept) => (k.sides ? k.sides.map((x) => Math.round(Number(x) * 1000)).join(" × ") : "–");
const fateClass = {
  open: "text-soft",
  "goes on": "font-[650] text-moss",
  "set aside": "text-soft",
  merged: "text-slate",
} as const;

/** Every concept screened against every must, with its estimates, its fate and the reason. */
export async function ConceptsScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [concepts, requirements, settings] = await Promise.all([
    conceptsOf(p.id, actor),
    requirementsOf(p.id),
    settingsOf(p.id),
  ]);
  const musts = mustsOf(requirements);
  const authors = new Set(concepts.map((k) => k.authorId));
  return (
    <>
      <PageHead
        title="Concepts"
        note={
          concepts.length
            ? `${concepts.filter((k) => k.fate === "goes on").length} go on of ${concepts.length}. ` +
              (settings.conceptsOpen
                ? "Everybody in the class sees them."
                : staff
                  ? `Students see their own only; ${authors.size} of ${frame.students} have one.`
                  : "Only you and your instructor see yours until all are opened.")
            : undefined
        }
      >
        {staff && concepts.length > 1 && (
          <MergeForm
            projectId={p.id}
            slug={slug}
            concepts={concepts.filter((k) => k.fate !== "merged").map((k) => ({ value: k.id, label: k.title }))}
          />
        )}
        {staff && concepts.length > 0 && <OpenConcepts projectId={p.id} open={settings.conceptsOpen} />}
        <ConceptForm projectId={p.id} slug={slug} />
      </PageHead>
      <ConceptTabs slug={slug} />
      {concepts.length === 0 && (
        <Empty title="No concept yet">
          Each student sketches an idea alone before anybody touches material: how it works, key dimensions, estimates
          of mass and cost, and how it meets each must. Nobody sees the others' until the instructor opens them.
        </Empty>
      )}
      {concepts.length > 0 && (
        <>
          <div className="mb-2 flex justify-end">
            <VerdictLegend />
          </div>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Concepts">
            <table className="table">
              <thead>
                <tr>
                  <th>Concept</th>
                  <th>By</th>
                  <th className="num">Mass kg</th>
                  <th className="num">Cost {p.currency}</th>
                  <th>Size mm</th>
                  {musts.map((m) => (
                    <th key={m.id} className="px-1 text-center" title={m.statement}>
                      {m.code}
                    </th>
                  ))}
                  <th>Fate</th>
                </tr>
              </thead>
              <tbody>
                {concepts.map((k) => (
                  <tr key={k.id} className={k.fate === "set aside" || k.fate === "merged" ? "text-soft" : undefined}>
                    <td className="min-w-48">
                      <Link href={`/p/${slug}/concepts/${k.id}`} className="font-[600] hover:text-iron">
                        {k.title}
                      </Link>
                      {k.idea && <span className="line-clamp-1 text-sm text-soft">{k.idea}</span>}
                      {k.parents.length > 0 && (
                        <span className="block text-sm text-slate">
                          from {k.parents.map((x) => x.title).join(" and ")}
                        </span>
                      )}
                    </td>
                    <td className="whitespace-nowrap">
                      {k.author}
                      {k.team && <span className="block text-sm text-soft">{k.team}</span>}
                    </td>
                    <td className="num">{k.mass === null ? "–" : formatSi(k.mass, "kg", 2)}</td>
                    <td className="num">{k.cost === null ? "–" : formatSi(k.cost, "1", 2)}</td>
                    <td className="whitespace-nowrap">{size(k)}</td>
                    {screen(musts, k).map(({ must, status }) => (
                      <td
                        key={must.id}
                        className={cx("px-1 text-center", status.value === "not met" && "bg-iron-wash")}
                      >
                        <Figure working={status.working} className="border-b-0">
                          <VerdictMark verdict={status.value} />
                        </Figure>
                      </td>
                    ))}
                    <td className="min-w-40">
                      <span className={fateClass[k.fate]}>{k.fate}</span>
                      {k.fateReason && <span className="line-clamp-2 text-sm text-soft">{k.fateReason}</span>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </>
  );
}

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
            key={k.version}
            projectId={p.id}
            slug={slug}
            edit={{
              id: k.id,
              version: k.version,
              title: k.title,
              idea: k.idea,
              dimensions: k.dimensions,
              mass: k.mass ? `${formatSi(k.mass, "kg", 2)} kg` : "",
              cost: k.cost ?? "",
              sides: k.sides ? `${size(k)} mm` : "",
            }}
          />
        )}
        {may && <SketchUpload conceptId={k.id} />}
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
                    {formatSi(k.mass, "kg", 2)}
                    <span className="unit">kg</span>
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
                {size(k)}
                {k.sides && <span className="unit">mm</span>}
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
                <FateForm key={k.version} id={k.id} version={k.version} fate={k.fate} reason={k.fateReason} />
              </div>
            )}
          </Sheet>
        </aside>
      </div>
    </>
  );
}

const schoolWords = {
  client: "the client chooses",
  panel: "a panel scores",
  vote: "the class votes",
  weighted: "weighted matrix",
  datum: "datum matrix",
} as const;

export async function ChoosingScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [selections, concepts, settings] = await Promise.all([
    selectionsOf(p.id),
    conceptsOf(p.id, actor),
    settingsOf(p.id),
  ]);
  const standing = concepts.filter((k) => k.fate === "open" || k.fate === "goes on");
  const shown = staff || settings.conceptsOpen ? selections : [];
  return (
    <>
      <PageHead title="Choosing" note="Which concepts go on, by whom, by what, and why." />
      <ConceptTabs slug={slug} />
      {shown.length > 0 && (
        <ul className="sheet mb-5 divide-y divide-line">
          {shown.map((x) => (
            <li key={x.id} className="flex flex-wrap items-baseline justify-between gap-x-4 px-3 py-2">
              <span>
                <Link href={`/p/${slug}/concepts/choose/${x.id}`} className="font-[650] hover:text-iron">
                  {x.title}
                </Link>{" "}
                <span className="text-soft">
                  {schoolWords[x.school]}, {x.definition.keep} of {x.concepts.length} go on
                </span>
              </span>
              <span className="text-sm text-soft">
                {x.closedAt
                  ? `closed ${instant(x.closedAt)}`
                  : `${x.sheets.length} ${x.sheets.length === 1 ? "sheet" : "sheets"} in`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {staff ? (
        standing.length < 2 ? (
          <Empty
            title="Two concepts make a choice"
            action={<LinkButton href={`/p/${slug}/concepts`}>To the concepts</LinkButton>}
          >
            When at least two concepts stand, open a selection here: the client chooses, a panel scores, the class
            votes, or a matrix decides.
          </Empty>
        ) : (
          <Sheet title={shown.length ? "Another selection" : "Open a selection"}>
            <SelectionForm
              projectId={p.id}
              slug={slug}
              school={settings.conceptSchool}
              concepts={standing.map((k) => ({ value: k.id, label: k.title }))}
            />
          </Sheet>
        )
      ) : (
        shown.length === 0 && <p className="text-soft">Nothing is to be chosen now.</p>
      )}
    </>
  );
}

/** One selection: the sheets that are in, where the concepts stand, how fragile the winner is, and the decision. */
export async function SelectionScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [selections, concepts, requirements, settings] = await Promise.all([
    selectionsOf(p.id),
    conceptsOf(p.id, actor),
    requirementsOf(p.id),
    settingsOf(p.id),
  ]);
  const x = selections.find((y) => y.id === id);
  if (!x || (!staff && !settings.conceptsOpen)) notFound();
  const o = outcomeOf(x);
  const d = x.definition;
  const musts = mustsOf(requirements);
  const broken = (k: string) => {
    const c = concepts.find((y) => y.id === k);
    return c
      ? screen(musts, c)
          .filter((s) => s.status.value === "not met")
          .map((s) => s.must.code)
      : [];
  };
  const mine = x.sheets.find((h) => h.raterPerson === actor.id);
  const best = o.rows[0]?.value ?? null;
  const scored = x.school === "panel" || x.school === "weighted";
  const weights = pairwiseOf(d);
  // The running count would sway the class: it is shown when the vote is closed.
  const open = staff || !!x.closedAt;
  return (
    <>
      <PageHead
        title={x.title}
        note={
          `${schoolWords[x.school]} · ${d.keep} of ${x.concepts.length} go on · ${x.sheets.length} ` +
          `${x.sheets.length === 1 ? "sheet" : "sheets"} in` +
          `${x.closedAt ? ` · closed ${instant(x.closedAt)}` : ""}`
        }
      >
        {staff && x.closedAt && <ReopenSelection id={x.id} />}
      </PageHead>
      <p className="no-print mb-3">
        <Link href={`/p/${slug}/concepts/choose`} className="text-soft underline">
          All selections
        </Link>
      </p>
      <div className="grid gap-5">
        {open && (
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Where the concepts stand">
            <table className="table">
              <thead>
                <tr>
                  <th>Concept</th>
                  <th className="num">{scored ? "Score" : x.school === "datum" ? "Net" : "Votes"}</th>
                  {x.school !== "client" && <th aria-hidden className="w-1/3" />}
                  <th>{x.school === "client" ? "Reasons" : "How"}</th>
                  <th>Breaks</th>
                  {x.closedAt && <th>Fate</th>}
                </tr>
              </thead>
              <tbody>
                {o.rows.map((r) => {
                  const b = broken(r.id);
                  const k = x.concepts.find((y) => y.id === r.id)!;
                  return (
                    <tr key={r.id}>
                      <td className="min-w-44 font-[600]">
                        <Link href={`/p/${slug}/concepts/${r.id}`} className="hover:text-iron">
                          {r.title}
                        </Link>
                      </td>
                      <td className="num">
                        <Figure working={r.working}>{r.shown}</Figure>
                      </td>
                      {x.school !== "client" && (
                        <td aria-hidden>
                          <span className="block h-2.5 bg-stone-1">
                            <span
                              className="block h-full bg-stone-4"
                              style={{
                                width:
                                  (r.value !== null && best ? Math.max(0, (100 * r.value) / Math.max(best, 1e-9)) : 0) +
                                  "%",
                              }}
                            />
                          </span>
                        </td>
                      )}
                      <td className="min-w-44 text-sm text-soft">{r.note || (x.closedAt ? k.fateReason : "")}</td>
                      <td className={b.length ? "font-[600] text-iron" : "text-soft"}>{b.join(", ") || "nothing"}</td>
                      {x.closedAt && (
                        <td className={cx("whitespace-nowrap", fateClass[k.fate as keyof typeof fateClass])}>
                          {k.fate}
                        </td>
                      )}
                    </tr>
                  );
                })}
              </tbody>
            </table>
            {o.warnings.map((w) => (
              <p key={w} className="mt-1 text-sm text-iron">
                {w}
              </p>
            ))}
          </div>
        )}
        {open && o.raters && (
          <p className="max-w-[75ch]">
            {o.raters.raters
              .map(
                (r) =>
                  `${r.rater} marks ` +
                  (r.severity! >= 0 ? `${r.severity!.toFixed(2)} above` : `${Math.abs(r.severity!).toFixed(2)} below`) +
                  " the average",
              )
              .join(" · ")}
            .{" "}
            {o.agreement !== null && (
              <>
                {"Agreement of the raters: Kendall's W = "}
                <strong className="font-[650]">{o.agreement.toFixed(2)}</strong> (0 none, 1 full).{" "}
              </>
            )}
            {o.raters.odd.map((q) => (
              <span key={q.option + q.rater} className="text-ochre-deep">
                {q.rater}'s score of {x.concepts.find((k) => k.id === q.option)?.title} lies far from the rest: talk
                about it.{" "}
              </span>
            ))}
          </p>
        )}
        {staff && o.fragility && (
          <div className="grid gap-5 lg:grid-cols-2">
            <Sheet title="What would change the winner">
              <ul>
                {o.flips.map((f) => (
                  <li key={f.criterion} className="border-b border-line py-1 last:border-0">
                    <strong className="font-[650]">{f.criterion}</strong> weighs {f.now.toFixed(2)}:{" "}
                    {f.at === null ? (
                      <span className="text-soft">no weight of it changes the winner</span>
                    ) : (
                      <>
                        {f.at > f.now ? "rising" : "falling"} to {f.at.toFixed(3)} makes{" "}
                        <strong className="font-[650]">{f.winner}</strong> draw level
                        {Math.abs(f.at - f.now) < 0.1 && <span className="text-iron"> · a small change</span>}
                      </>
                    )}
                  </li>
                ))}
              </ul>
            </Sheet>
            <Sheet title="First places over random weights">
              <FirstPlaces input={o.fragility} sets={10_000} seed={x.id.slice(-6)} />
            </Sheet>
          </div>
        )}
        {staff && !x.closedAt && d.criteria.length > 0 && (
          <Sheet
            title="Weights"
            aside={weights && d.pairs ? `consistency ratio ${weights.ratio.toFixed(3)}` : undefined}
          >
            <WeightsForm key={x.version} id={x.id} version={x.version} criteria={d.criteria} pairs={d.pairs ?? {}} />
          </Sheet>
        )}
        {!x.closedAt && mayRate(x.school, actor, p.id) && (
          <Sheet title={x.school === "client" ? "Enter the client's choice" : mine ? "My sheet" : "Fill in a sheet"}>
            <StaffSheet
              key={x.id}
              q={{
                id: x.id,
                school: x.school,
                criteria: d.criteria,
                top: d.top,
                keep: d.keep,
                votes: d.votes,
                datum: d.datum,
                concepts: x.concepts,
              }}
              given={mine?.marks ?? null}
            />
          </Sheet>
        )}
        {staff && !x.closedAt && (
          <Sheet title="Decide">
            <CloseForm
              key={x.sheets.length}
              id={x.id}
              version={x.version}
              keep={d.keep}
              rows={o.rows.map((r, i) => ({
                id: r.id,
                title: r.title,
                leads: i < d.keep && r.value !== null && r.value !== 0,
                broken: broken(r.id),
              }))}
            />
          </Sheet>
        )}
      </div>
    </>
  );
}
