import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { formatNumber } from "@/core/quantity/quantity";
import { unitAfter } from "@/core/run/reading";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { today } from "@/platform/command/command";
import { fullDate, shortDate } from "@/platform/pages/dates";
import { requirePerson } from "@/platform/pages/page";
import { schoolActs } from "@/platform/project/acts";
import { calendarsIn } from "@/platform/project/calendars";
import { weekOf } from "@/stages/shop/view/times";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { DataTable } from "@/ui/table";
import { departmentOf } from "../department";
import { editionsOf, loadsOf, standing } from "../department-view";

/** All projects of the school on one page: where each stands, how full the machines are, results by edition. */
export async function DepartmentScreen() {
  const actor = await requirePerson();
  if (!can(actor, schoolActs.oversee, {})) notFound();
  const day = today();
  const { from, to } = weekOf(day);
  const rows = await departmentOf(day, from, to);
  const calendars = await calendarsIn(rows.map((r) => r.id));
  const loads = loadsOf(rows, calendars, from, to);
  const editions = editionsOf(rows);
  return (
    <PlainShell name={actor.name} admin={actor.admin} head={actor.head}>
      <PageHead title="Department" note={`${fullDate(day)} · of students only how many they are`}>
        <PrintButton />
        {actor.admin && <LinkButton href="/school">School</LinkButton>}
      </PageHead>
      {rows.length === 0 && <Empty title="No project yet">Projects of all instructors stand here.</Empty>}
      {rows.length > 0 && (
        <section aria-labelledby="projects" className="mb-6">
          <h2 id="projects" className="mb-1.5">
            Projects
          </h2>
          <DataTable
            caption="Projects of the department"
            columns={[
              { key: "title", text: "Project" },
              { key: "who", text: "Instructors" },
              { key: "stands", text: "Stands" },
              { key: "event", text: "Event or end" },
              { key: "students", text: "Students", num: true },
              { key: "teams", text: "Teams", num: true },
              { key: "builds", text: "Builds", num: true },
              { key: "recent", text: "Recorded in 7 days", num: true },
              { key: "musts", text: "Musts met, %", num: true },
              { key: "overdue", text: "Overdue", num: true },
              { key: "incidents", text: "Open incidents", num: true },
            ]}
            rows={rows.map((p) => ({
              id: p.id,
              cells: {
                title: p.title,
                who: p.instructors.join(", "),
                stands: standing(p, calendars.get(p.id), day),
                event: { value: p.eventOn ?? p.endsOn, show: shortDate(p.eventOn ?? p.endsOn) },
                students: p.students,
                teams: p.teams,
                builds: p.builds,
                recent: { value: p.recent, show: p.recent || "" },
                musts: p.musts ? Math.round((100 * p.met) / p.musts) : null,
                overdue: { value: p.overdue, show: p.overdue || "", className: "text-iron" },
                incidents: { value: p.incidents, show: p.incidents || "", className: "text-iron" },
              },
            }))}
          />
        </section>
      )}
      <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-2">
        {loads.length > 0 && (
          <section aria-labelledby="machines">
            <h2 id="machines" className="mb-1.5">
              Machines in the week of {shortDate(from)}
            </h2>
            <DataTable
              caption="Machines"
              columns={[
                { key: "machine", text: "Machine" },
                { key: "project", text: "Project" },
                { key: "booked", text: "Booked, min", num: true },
                { key: "room", text: "In class, min", num: true },
                { key: "share", text: "Full, %", num: true },
              ]}
              rows={loads.map((l) => ({
                id: l.key,
                cells: {
                  machine: l.machine,
                  project: l.project,
                  booked: l.booked,
                  room: l.room,
                  share: l.room ? Math.round((100 * l.booked) / l.room) : null,
                },
              }))}
            />
          </section>
        )}
        {editions.map((chain) => {
          const last = chain.at(-1)!;
          return (
            <section key={last.id} aria-labelledby={last.id}>
              <h2 id={last.id} className="mb-1.5">
                {last.title} by edition{last.best && `: ${last.best.name.toLowerCase()}`}
              </h2>
              <DataTable
                caption={`Editions of ${last.title}`}
                columns={[
                  { key: "title", text: "Edition" },
                  { key: "teams", text: "Teams", num: true },
                  { key: "best", text: "Best", num: true },
                  { key: "musts", text: "Musts met, %", num: true },
                ]}
                rows={chain.map((p) => ({
                  id: p.id,
                  cells: {
                    title: p.title,
                    teams: p.teams,
                    best: {
                      value: p.best?.value ?? null,
                      show: p.best ? unitAfter(formatNumber(p.best.value, 2), p.best.unit) : "",
                    },
                    musts: p.musts ? Math.round((100 * p.met) / p.musts) : null,
                  },
                }))}
              />
            </section>
          );
        })}
      </div>
    </PlainShell>
  );
}
