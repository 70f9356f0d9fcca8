import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { briefActs } from "../acts";
import { BriefTabs } from "../parts/brief-tabs";
import { RemoveResult, WithdrawChallenge } from "../parts/buttons";
import { ChallengeForm, EditChallenge } from "../parts/challenge-form";
import { ResultForm } from "../parts/result-form";
import { challengesOf } from "../queries";

/** The entry challenge: a short activity before the project, with its own quick result. */
export async function ChallengeScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, briefActs.read);
  const p = frame.project;
  const challenges = await challengesOf(p.id);
  return (
    <>
      <PageHead
        title="Entry challenge"
        note="A day or two before the project, so that everybody succeeds at something small."
      />
      <BriefTabs slug={slug} />
      {challenges.length === 0 && !staff && (
        <Empty title="There is no entry challenge">Your instructor may set one up.</Empty>
      )}
      <div className="grid gap-6">
        {challenges.map((c) => (
          <section key={c.id} className="border-t-2 border-stone-4 pt-2">
            <h2 className="text-[16px]">
              {c.title} <span className="text-[13.5px] font-normal text-soft">{fullDate(c.heldOn)}</span>{" "}
              {staff && (
                <span className="text-[13px] font-normal">
                  <EditChallenge
                    projectId={p.id}
                    id={c.id}
                    version={c.version}
                    values={{
                      title: c.title,
                      task: c.task,
                      heldOn: c.heldOn,
                      measure: c.measure,
                      unit: c.unit === "1" ? "" : c.unit,
                      resolution: c.readTo,
                      better: c.better,
                    }}
                  />{" "}
                  <WithdrawChallenge id={c.id} />
                </span>
              )}
            </h2>
            {c.task && <p className="mb-2 max-w-[70ch] whitespace-pre-wrap">{c.task}</p>}
            {staff && (
              <div className="no-print mb-3">
                <ResultForm challengeId={c.id} unit={c.unit} measure={c.measure} />
              </div>
            )}
            {c.results.length === 0 ? (
              <p className="text-soft">No result yet.</p>
            ) : (
              <div className="max-w-2xl">
                <DataTable
                  caption={`Results of ${c.title}`}
                  columns={[
                    { key: "place", text: "Place", num: true },
                    { key: "who", text: "Group" },
                    { key: "value", text: `${c.measure}${c.unit === "1" ? "" : ` (${c.unit})`}`, num: true },
                    ...(staff ? [{ key: "tools", text: "", className: "no-print" }] : []),
                  ]}
                  rows={c.results.map((r) => ({
                    id: r.id,
                    className: r.best ? undefined : "text-soft",
                    cells: {
                      place: {
                        value: r.best ? r.place : "",
                        show: r.best ? `${r.place}${r.shared ? "=" : ""}` : "",
                        className: "font-[650]",
                      },
                      who: r.best ? r.who : `${r.who} (another try)`,
                      value: { value: r.read, show: r.shown },
                      tools: { value: null, show: <RemoveResult id={r.id} /> },
                    },
                  }))}
                />
                <p className="mt-1 text-sm text-soft">
                  The best try of each group counts; {c.better} is better. Results that agree as finely as they are read
                  share a place.
                </p>
              </div>
            )}
          </section>
        ))}
        {staff && (
          <Sheet title={challenges.length ? "Another challenge" : "Set one up"} className="no-print">
            <ChallengeForm projectId={p.id} slug={slug} today={frame.today} />
          </Sheet>
        )}
      </div>
    </>
  );
}
