import { redirect } from "next/navigation";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { today } from "@/platform/command/command";
import { fullDate, longDate, shortDate, writeDatesAs } from "@/platform/pages/dates";
import type { Waiting } from "@/platform/registry/stage";
import { currentPerson } from "@/platform/sign-in/cookies";
import { schoolIsEmpty } from "@/platform/sign-in/sign-in";
import { projectsOf } from "@/stages/plan/queries/projects";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Waits } from "@/ui/waits";
import { studentHome } from "../home";
import { waitingIn } from "../waiting";

/** How many projects Today looks into, and lists, unless all are asked for: nobody reads forty at once. */
const looked = 3;
const most = 12;

/** Today: what waits for the instructor, from what the record knows; for a student, what is next. */
export async function TodayScreen({ all = false }: { all?: boolean }) {
  const actor = await currentPerson();
  if (actor.kind !== "person") redirect((await schoolIsEmpty()) ? "/welcome" : "/sign-in");
  const projects = await projectsOf(actor, all ? undefined : { first: most, nearest: looked });
  writeDatesAs(projects[0]?.dates);
  const kept = projects.filter((p) => !p.archivedAt);
  const everyRunning = kept.filter((p) => !p.finishedAt);
  const running = all ? everyRunning : everyRunning.toSorted((a, b) => a.near - b.near).slice(0, looked);
  const listed = all ? projects : kept.slice(0, most);
  const found = actor.instructor
    ? await waitingIn(
        running.map((p) => p.id),
        today(),
      )
    : new Map<string, Waiting[]>();
  const waiting = actor.instructor ? running.map((p) => ({ p, items: found.get(p.id) ?? [] })) : [];
  const own = actor.instructor ? [] : await studentHome(actor, today());
  return (
    <PlainShell name={actor.name} admin={actor.admin} head={actor.head}>
      <PageHead title={actor.instructor ? "Today" : `Hello, ${actor.name.split(" ")[0]}`} note={fullDate(today())}>
        {actor.instructor && (
          <>
            <LinkButton href="/import">Import a project</LinkButton>
            <LinkButton href="/new" look="main">
              New project
            </LinkButton>
          </>
        )}
      </PageHead>
      {projects.length === 0 &&
        (actor.instructor ? (
          <Empty
            title="No project yet"
            action={
              <LinkButton href="/new" look="main">
                New project
              </LinkButton>
            }
          >
            Begin with the brief of one design project: its client or contest, its dates and its class sections. Or
            bring in a project that was exported elsewhere.
          </Empty>
        ) : (
          <Empty title="You are not in a project yet">
            Your instructor adds you to a section; then your project stands here.
          </Empty>
        ))}
      {waiting.map(({ p, items }) => (
        <section key={p.id} className="mb-6" aria-label={p.title}>
          <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-line pb-1">
            <h2 className="text-[16px]">
              <Link href={`/p/${p.slug}`} className="hover:text-iron">
                {p.title}
              </Link>
            </h2>
            <p className="text-sm text-soft">
              {p.teams} teams · {p.students} students ·{" "}
              {p.eventOn ? `event ${longDate(p.eventOn)}` : `until ${shortDate(p.endsOn)}`}
            </p>
          </div>
          <Waits items={items} base={`/p/${p.slug}`} />
        </section>
      ))}
      {running.length < everyRunning.length && (
        <p className="mb-6 text-soft">
          The {running.length} projects whose event is nearest.{" "}
          <Link href="/?all=1" className="underline">
            Look into all {everyRunning.length}
          </Link>
        </p>
      )}
      {own.map((o) => (
        <section key={o.slug} className="mb-6">
          <h2 className="border-b border-line pb-1 text-[16px]">
            <Link href={`/p/${o.slug}`} className="hover:text-iron">
              {o.title}
            </Link>
            {o.team && <span className="font-normal text-soft"> · team {o.team}</span>}
          </h2>
          <div className="grid gap-x-8 gap-y-1 py-2 sm:grid-cols-2">
            {o.next && (
              <p>
                <span className="text-soft">{o.next.on < today() ? "Was due: " : "Next due: "}</span>
                <strong className="font-[650]">{o.next.what}</strong>{" "}
                <span className={o.next.on < today() ? "text-iron" : "text-soft"}>{longDate(o.next.on)}</span>
              </p>
            )}
            {o.about.map((l) => (
              <p key={l.label}>
                <span className="text-soft">{l.label}: </span>
                {l.path ? (
                  <Link href={`/p/${o.slug}${l.path}`} className="underline">
                    {l.text}
                  </Link>
                ) : (
                  l.text
                )}{" "}
                {l.note && <span className="text-soft">{l.note}</span>}
              </p>
            ))}
          </div>
          <ul>
            {o.items.map((x) => (
              <li key={x.what} className="border-b border-line py-2">
                <Link href={`/p/${o.slug}${x.path}`} className="font-[600] hover:text-iron">
                  {x.what}
                </Link>
                {x.note && <span className="block text-sm text-soft">{x.note}</span>}
              </li>
            ))}
          </ul>
          {o.items.length === 0 && (
            <p className="py-2 text-soft">
              Nothing is due.{" "}
              <Link className="underline" href={`/p/${o.slug}`}>
                Open the project
              </Link>
            </p>
          )}
        </section>
      ))}
      {(actor.instructor ? projects.length : projects.length - own.length) > 0 && (
        <section aria-label="Projects">
          <h2 className="mb-1.5">Projects</h2>
          <DataTable
            caption="Projects"
            columns={[
              { key: "title", text: "Project" },
              { key: "sections", text: "Sections" },
              { key: "students", text: "Students", num: true },
              { key: "teams", text: "Teams", num: true },
              { key: "dates", text: "Dates", className: "whitespace-nowrap" },
              { key: "state", text: "State" },
            ]}
            rows={listed.map((p) => ({
              id: p.id,
              cells: {
                title: {
                  value: p.title,
                  show: (
                    <>
                      <Link href={`/p/${p.slug}`} className="font-[600] hover:text-iron">
                        {p.title}
                      </Link>
                      <span className="block text-sm text-soft">{p.purpose}</span>
                    </>
                  ),
                },
                sections: p.sections.join(", "),
                students: p.students,
                teams: p.teams,
                dates: { value: p.startsOn, show: `${fullDate(p.startsOn)} to ${fullDate(p.endsOn)}` },
                state: p.finishedAt ? "finished" : p.startsOn > today() ? "not begun" : "running",
              },
            }))}
          />
          {listed.length < projects.length && (
            <p className="mt-1.5 text-soft">
              <Link href="/?all=1" className="underline">
                Show all {projects.length} projects
              </Link>
            </p>
          )}
        </section>
      )}
    </PlainShell>
  );
}
