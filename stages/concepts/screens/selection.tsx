import { notFound } from "next/navigation";
import { conceptMethod } from "@/core/vocabulary/concepts";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import Link from "@/ui/link";
import { PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { ReopenSelection, StaffSheet, WithdrawSelection } from "../parts/buttons";
import { CloseForm } from "../parts/close-form";
import { FirstPlaces } from "../parts/first-places";
import { RenameSelection } from "../parts/rename-selection";
import { WeightsForm } from "../parts/weights-form";
import { fateClass } from "../parts/words";
import { conceptsOf } from "../queries/concepts";
import { selectionsOf } from "../queries/selection";
import { mustsOf, screen } from "../view/concepts";
import { mayRate, outcomeOf, pairwiseOf } from "../view/selection";

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
          `${conceptMethod.labels[x.school]} · ${d.keep} of ${x.concepts.length} go on · ${x.sheets.length} ` +
          `${x.sheets.length === 1 ? "sheet" : "sheets"} in` +
          `${x.closedAt ? ` · closed ${instant(x.closedAt)}` : ""}`
        }
      >
        {staff && x.closedAt && <ReopenSelection id={x.id} />}
        {staff && <RenameSelection id={x.id} version={x.version} title={x.title} />}
        {staff && !x.closedAt && <WithdrawSelection id={x.id} goTo={`/p/${slug}/concepts/choose`} />}
      </PageHead>
      <p className="no-print mb-3">
        <Link href={`/p/${slug}/concepts/choose`} className="text-soft underline">
          All selections
        </Link>
      </p>
      <div className="grid gap-5">
        {open && (
          <div>
            <DataTable
              caption="Where the concepts stand"
              columns={[
                { key: "title", text: "Concept", className: "min-w-44 font-[600]" },
                { key: "score", text: scored ? "Score" : x.school === "datum" ? "Net" : "Votes", num: true },
                ...(x.school === "client" ? [] : [{ key: "bar", text: "", className: "w-1/3" }]),
                {
                  key: "how",
                  text: x.school === "client" ? "Reasons" : "How",
                  className: "min-w-44 text-soft",
                },
                { key: "breaks", text: "Breaks" },
                ...(x.closedAt ? [{ key: "fate", text: "Fate", className: "whitespace-nowrap" }] : []),
              ]}
              rows={o.rows.map((r) => {
                const b = broken(r.id);
                const k = x.concepts.find((y) => y.id === r.id)!;
                const share = r.value !== null && best ? Math.max(0, (100 * r.value) / Math.max(best, 1e-9)) : 0;
                return {
                  id: r.id,
                  cells: {
                    title: {
                      value: r.title,
                      show: (
                        <Link href={`/p/${slug}/concepts/${r.id}`} className="hover:text-iron">
                          {r.title}
                        </Link>
                      ),
                    },
                    score: { value: r.value, show: <Figure working={r.working}>{r.shown}</Figure> },
                    bar: {
                      value: "",
                      show: (
                        <span aria-hidden className="block h-2.5 bg-stone-1">
                          <span className="block h-full bg-stone-4" style={{ width: `${share}%` }} />
                        </span>
                      ),
                    },
                    how: r.note || (x.closedAt ? k.fateReason : ""),
                    breaks: {
                      value: b.join(", ") || "nothing",
                      className: b.length ? "font-[600] text-iron" : "text-soft",
                    },
                    fate: { value: k.fate, className: fateClass[k.fate as keyof typeof fateClass] },
                  },
                };
              })}
            />
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
            <WeightsForm
              id={x.id}
              version={x.version}
              criteria={d.criteria}
              pairs={d.pairs ?? {}}
              scored={x.sheets.length > 0}
            />
          </Sheet>
        )}
        {d.reweighed?.map((w) => (
          <p key={w.on + w.before.join()} className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
            {w.by} changed the weights on {fullDate(w.on)}, when {w.sheets}{" "}
            {w.sheets === 1 ? "sheet was" : "sheets were"} in: before,{" "}
            {d.criteria.map((c, i) => `${c.name} ${w.before[i]}`).join(", ")}. {w.reason}
          </p>
        ))}
        {!x.closedAt && mayRate(x.school, actor, p.id) && (
          <Sheet title={x.school === "client" ? "Enter the client's choice" : mine ? "My sheet" : "Fill in a sheet"}>
            <StaffSheet
              key={x.id}
              raterId={actor.id}
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
