import { incidentKind } from "@/core/vocabulary/shop";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import { fullDate, instant, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { Caution, Empty, LinkButton, PageHead } from "@/ui/page";
import { withdrawCheckAction } from "../actions";
import { incidentActs, toolActs } from "../acts";
import { KeepIncident, ReportIncident } from "../parts/incident-form";
import { MachineCheck } from "../parts/machine-check";
import { ShopTabs } from "../parts/shop-tabs";
import { checksOf, incidentsOf } from "../queries/safety";
import { toolsOf } from "../queries/tools";

/** What was looked at today on each machine, and what happened or nearly happened. */
export async function SafetyScreen({ slug }: { slug: string }) {
  const page = await projectPage(slug);
  const { frame } = page;
  const p = frame.project;
  const keeps = page.may(incidentActs.keep);
  const [tools, checks, incidents] = await Promise.all([
    toolsOf(p.id),
    checksOf(p.id),
    keeps ? incidentsOf(p.id) : Promise.resolve([]),
  ]);
  const listed = tools.filter((t) => t.checks.length > 0);
  const options = tools.map((t) => ({ value: t.id, label: t.name }));
  const may = page.may(toolActs.record) && !p.finishedAt;
  const open = incidents.filter((i) => !i.closedAt).length;
  return (
    <>
      <PageHead title="Safety" note="What is looked at before machines run, and what happened or nearly did.">
        {keeps && incidents.length > 0 && (
          <LinkButton href={`/p/${slug}/csv/incidents`} download>
            Incidents as CSV, without names
          </LinkButton>
        )}
      </PageHead>
      <ShopTabs slug={slug} />
      <div className="mb-4 max-w-[860px]">
        <Caution>
          Somebody is hurt: stop the machine, call the adult in the room, and do as the school's emergency plan says.
          Write here afterwards.
        </Caution>
      </div>
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <section aria-labelledby="today" className="min-w-0">
          <h2 id="today" className="mb-2">
            Machines, {shortDate(frame.today)}
          </h2>
          {listed.length === 0 && (
            <p className="text-soft">
              No machine has a list yet of what is looked at each day. An instructor writes it with the tool, under
              Training.
            </p>
          )}
          <div className="grid gap-4">
            {listed.map((t) => {
              const now = checks.filter((c) => c.toolId === t.id && c.onDate === frame.today);
              const last = checks.find((c) => c.toolId === t.id && c.onDate < frame.today);
              return (
                <div key={t.id} className="border-t border-line pt-2">
                  <h3 className="font-[650]">{t.name}</h3>
                  {now.map((c) => (
                    <p key={c.id} className="text-sm">
                      <span className="text-moss">
                        Looked at by {c.checkedBy}, {instant(c.checkedAt)}.
                      </span>{" "}
                      {keeps && (
                        <WithdrawButton action={withdrawCheckAction} id={c.id} name={`the check of ${t.name}`}>
                          take out
                        </WithdrawButton>
                      )}
                    </p>
                  ))}
                  {now.length === 0 && may && <MachineCheck toolId={t.id} lines={t.checks} machine={t.name} />}
                  {last && (
                    <p className="text-sm text-soft">
                      Before that: {shortDate(last.onDate)}, {last.checkedBy}.
                    </p>
                  )}
                </div>
              );
            })}
          </div>
        </section>
        <section aria-labelledby="incidents" className="min-w-0">
          <h2 id="incidents" className="mb-2">
            {keeps ? `What happened${open ? `, ${open} open` : ""}` : "Something happened, or nearly?"}
          </h2>
          {!keeps && (
            <p className="mb-2 max-w-[62ch] text-soft">
              Tell it: nobody is blamed for telling. A near miss that is known is one that can be prevented. Your
              instructors read it, other students do not.
            </p>
          )}
          {page.may(incidentActs.report) && !p.finishedAt && (
            <ReportIncident projectId={p.id} tools={options} today={frame.today} />
          )}
          {keeps && incidents.length === 0 && (
            <div className="mt-3">
              <Empty title="Nothing happened yet">
                Near misses are worth more than injuries: write down what nearly happened, and change something.
              </Empty>
            </div>
          )}
          <ul className="mt-3 grid gap-4">
            {incidents.map((i) => (
              <li key={i.id} className="border-t border-line pt-2">
                <p>
                  <strong className="font-[650]">{nameAndReason(incidentKind.labels[i.kind])[0]}</strong>{" "}
                  <span className="text-soft">
                    {[fullDate(i.onDate), i.tool, i.place, `told by ${i.reportedBy}`].filter(Boolean).join(" · ")}
                  </span>{" "}
                  {!i.closedAt && <span className="font-[600] text-iron">open</span>}
                </p>
                <p className="max-w-[75ch] whitespace-pre-line">{i.what}</p>
                {i.done && <p className="text-sm">At once: {i.done}</p>}
                {i.told && <p className="text-sm">Told: {i.told}</p>}
                {i.changed && <p className="text-sm text-moss">Changed: {i.changed}</p>}
                {!p.finishedAt && (
                  <KeepIncident
                    id={i.id}
                    version={i.version}
                    tools={options}
                    closed={i.closedAt !== null}
                    typed={{
                      kind: i.kind,
                      onDate: i.onDate,
                      toolId: i.toolId ?? "",
                      place: i.place,
                      what: i.what,
                      done: i.done,
                      told: i.told,
                      changed: i.changed,
                    }}
                  />
                )}
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
