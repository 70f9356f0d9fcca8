import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { needsActs } from "../acts";
import { BaselineForm } from "../parts/baseline-form";
import { WithdrawChange } from "../parts/buttons";
import { ChangeForm } from "../parts/change-form";
import { DecideForm } from "../parts/decide-form";
import { NeedsTabs } from "../parts/needs-tabs";
import { TableImport } from "../parts/table-import";
import { baselinesOf, changesOf, volatilityOf } from "../queries/register";
import { requirementsOf } from "../queries/requirements";

/** Baselines of the register, what was asked to change since, and the table's way in and out. */
export async function ChangesScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, needsActs.read);
  const p = frame.project;
  const [requirements, baselines, changes, volatility] = await Promise.all([
    requirementsOf(p.id),
    baselinesOf(p.id),
    changesOf(p.id),
    volatilityOf(p.id, frame.today),
  ]);
  const last = baselines[0];
  const drift = last
    ? requirements.filter((r) => {
        const b = last.content.find((c) => c.code === r.code);
        return !b || b.version !== r.number;
      })
    : [];
  return (
    <>
      <PageHead
        title="Baseline and changes"
        note={
          last
            ? `Baseline ${last.number} of ${instant(last.madeAt)}. ${volatility.changes} ` +
              `${volatility.changes === 1 ? "change" : "changes"} since the first` +
              `${volatility.perWeek === null ? "" : `, ${volatility.perWeek.toFixed(1)} a week`}.`
            : "No baseline yet: changes are free, and are not counted."
        }
      />
      <NeedsTabs slug={slug} staff={staff} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="grid min-w-0 gap-4">
          <section>
            <h2 className="mb-2">Change requests</h2>
            {changes.length === 0 ? (
              <p className="text-soft">
                {last
                  ? "Nobody has asked for a change since the baseline."
                  : "After the baseline, a change of a limit is asked for here with its reason, and the instructor " +
                    "decides."}
              </p>
            ) : (
              <DataTable
                caption="Change requests"
                columns={[
                  { key: "what", text: "What", className: "min-w-44 font-[600]" },
                  { key: "why", text: "Why", className: "min-w-44" },
                  { key: "by", text: "Asked by", className: "whitespace-nowrap" },
                  { key: "decision", text: "Decision", className: "min-w-48" },
                ]}
                rows={changes.map((c) => ({
                  id: c.id,
                  cells: {
                    what: `${c.code && !c.what.startsWith(c.code) ? `${c.code}: ` : ""}${c.what}`,
                    why: c.reason,
                    by: {
                      value: c.askedBy,
                      show: (
                        <>
                          {c.askedBy}
                          <span className="block text-sm text-soft">{instant(c.createdAt)}</span>
                        </>
                      ),
                    },
                    decision: {
                      value: c.state === "open" ? "open" : `${c.state} ${c.decision}`,
                      show:
                        c.state === "open" ? (
                          staff ? (
                            <>
                              <DecideForm id={c.id} version={c.version} />
                              <WithdrawChange id={c.id} />
                            </>
                          ) : (
                            <span className="text-soft">open</span>
                          )
                        ) : (
                          <>
                            <span className="font-[600]">{c.state}</span>{" "}
                            <span className="text-sm text-soft">
                              {c.decidedBy}
                              {c.decidedAt && `, ${instant(c.decidedAt)}`}
                            </span>
                            <span className="block text-sm">{c.decision}</span>
                            {c.state === "accepted" && c.requirementVersion === null && c.requirementId && (
                              <span className="block text-sm text-ochre-deep">
                                not carried out yet
                                {staff && (
                                  <>
                                    :{" "}
                                    <Link href={`/p/${slug}/needs/${c.requirementId}`} className="underline">
                                      change {c.code} now
                                    </Link>
                                  </>
                                )}
                              </span>
                            )}
                          </>
                        ),
                    },
                  },
                }))}
              />
            )}
          </section>
          {last && (
            <section>
              <h2 className="mb-1">Since baseline {last.number}</h2>
              {drift.length === 0 ? (
                <p className="text-soft">The register stands as it was fixed.</p>
              ) : (
                <ul>
                  {drift.map((r) => {
                    const b = last.content.find((c) => c.code === r.code);
                    return (
                      <li key={r.id}>
                        <strong className="font-[650]">{r.code}</strong> {r.statement}{" "}
                        <span className="text-soft">{b ? `version ${b.version} became ${r.number}` : "is new"}</span>
                      </li>
                    );
                  })}
                </ul>
              )}
              {last.content
                .filter((c) => !requirements.some((r) => r.code === c.code))
                .map((c) => (
                  <p key={c.code}>
                    <strong className="font-[650]">{c.code}</strong> {c.statement}{" "}
                    <span className="text-soft">was retired</span>
                  </p>
                ))}
            </section>
          )}
          {baselines.length > 0 && (
            <section>
              <h2 className="mb-1">Baselines</h2>
              <ul>
                {baselines.map((b) => (
                  <li key={b.id}>
                    Baseline {b.number}{" "}
                    <span className="text-soft">
                      {instant(b.madeAt)}, {b.madeBy}, {b.content.length} requirements{b.note && `: ${b.note}`}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <aside className="no-print grid gap-4">
          {staff && (
            <Sheet title={last ? "A new baseline" : "Fix the baseline"}>
              <p className="mb-2 text-sm text-soft">
                When client and class agree on the register. From then on every change of a limit carries a reason and
                is counted.
              </p>
              <BaselineForm projectId={p.id} next={(last?.number ?? 0) + 1} />
            </Sheet>
          )}
          <Sheet title="Ask for a change">
            <ChangeForm
              projectId={p.id}
              requirements={requirements.map((r) => ({ value: r.id, label: `${r.code} ${r.statement.slice(0, 50)}` }))}
            />
          </Sheet>
          {staff && (
            <Sheet title="Table in and out">
              <p className="mb-2 text-sm text-soft">
                Take the register out, change it in a spreadsheet, bring it back. Rows with a code change that
                requirement; rows without one are new.
              </p>
              <p className="mb-2">
                <LinkButton href={`/p/${slug}/csv/register`} download>
                  Register for editing (CSV)
                </LinkButton>
              </p>
              <TableImport projectId={p.id} />
            </Sheet>
          )}
        </aside>
      </div>
    </>
  );
}
