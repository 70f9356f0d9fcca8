import { fullDate } from "@/platform/pages/dates";
import { projectPage, sectionOf } from "@/platform/pages/page";
import Link from "@/ui/link";
import { SectionChoice } from "@/ui/link-choice";
import { PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { peopleActs, staffActs } from "../acts";
import { AddStudent } from "../parts/add-student";
import { RevokeButton, TakeInAgain } from "../parts/buttons";
import { CoForm } from "../parts/co-form";
import { GuestForm } from "../parts/guest-form";
import { LoginForm } from "../parts/login-form";
import { RosterImport } from "../parts/roster-import";
import { SectionLogins } from "../parts/section-logins";
import { StaffEnd } from "../parts/staff-end";
import { StudentTools } from "../parts/student-tools";
import { guestLinksOf } from "../queries/guests";
import { leftOf, mentionsOf, staffOf, studentsOf } from "../queries/students";
import { mentionPlace } from "../view";

/** People: roster with import, instructors, guest links. */
export async function PeopleScreen({ slug, section: asked }: { slug: string; section?: string }) {
  const { frame, may } = await projectPage(slug, peopleActs.read);
  const p = frame.project;
  const [students, staff, guests, left, erased] = await Promise.all([
    studentsOf(p.id),
    staffOf(p.id),
    guestLinksOf(p.id),
    leftOf(p.id),
    mentionsOf(p.id),
  ]);
  const section = sectionOf(frame, asked);
  const listed = students.filter((x) => !section || x.sectionId === section.id);
  const sections = frame.sections.map((x) => ({ value: x.id, label: x.name }));
  const others = students.map((x) => ({ value: x.id, label: `${x.name}, section ${x.section}` }));
  return (
    <>
      <PageHead
        title="People"
        note={
          `${students.length} students in ${frame.sections.length} ` +
          `${frame.sections.length === 1 ? "section" : "sections"} · ${staff.length} ` +
          `${staff.length === 1 ? "instructor" : "instructors"} · ${guests.filter((g) => !g.revokedAt).length} ` +
          `guest ${guests.filter((g) => !g.revokedAt).length === 1 ? "link" : "links"}`
        }
      />
      <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_400px]">
        <div className="grid min-w-0 gap-5">
          <SectionLogins
            projectId={p.id}
            sections={frame.sections.map((x) => ({
              id: x.id,
              name: x.name,
              without: students.filter((s) => s.sectionId === x.id && !s.hasLogin).length,
            }))}
          />
          {students.length > 0 && (
            <DataTable
              caption="Students"
              tools={<SectionChoice sections={frame.sections} chosen={section?.id} base={`/p/${slug}/people`} />}
              columns={[
                { key: "name", label: "Student", text: "Student" },
                { key: "section", label: "Section", text: "Section" },
                { key: "team", label: "Team", text: "Team" },
                { key: "login", label: "Sign-in", text: "Sign-in" },
                { key: "act", label: "", text: "" },
              ]}
              rows={listed.map((s) => ({
                id: s.id,
                cells: {
                  name: {
                    value: s.name,
                    show: (
                      <Link href={`/p/${slug}/people/${s.id}`} className="hover:text-iron">
                        {s.name}
                      </Link>
                    ),
                  },
                  section: { value: s.section },
                  team: { value: s.team ?? "" },
                  login: {
                    value: s.loginName ?? s.email ?? "",
                    show: (
                      <LoginForm
                        projectId={p.id}
                        personId={s.id}
                        loginName={s.loginName ?? ""}
                        email={s.email ?? ""}
                        hasLogin={s.hasLogin}
                      />
                    ),
                  },
                  act: {
                    value: "",
                    show: (
                      <StudentTools
                        projectId={p.id}
                        student={{
                          id: s.id,
                          version: s.version,
                          name: s.name,
                          email: s.email ?? "",
                          sectionId: s.sectionId,
                        }}
                        sections={sections}
                        others={others.filter((o) => o.value !== s.id)}
                        record={`/p/${slug}/student/${s.id}`}
                      />
                    ),
                  },
                },
              }))}
            />
          )}
          <Sheet title={students.length ? "Add students" : "Bring in the roster"}>
            <RosterImport projectId={p.id} sections={frame.sections.map((s) => s.name)} />
            {sections.length > 0 && (
              <div className="mt-3">
                <AddStudent projectId={p.id} sections={sections} />
              </div>
            )}
          </Sheet>
          {erased.length > 0 && (
            <Sheet title="Erased, and still named in texts" aside="yours to decide">
              <p className="mb-2 text-soft">
                What people wrote is not rewritten by itself. Read these, and correct or withdraw them where the name
                should go.
              </p>
              <ul>
                {erased.map((x) => (
                  <li key={x.id} className="border-b border-line py-1 last:border-0">
                    <span className="text-soft">
                      {fullDate(x.at)}, by {x.by}:
                    </span>{" "}
                    {x.mentions.map((m) => `${m.n} in ${mentionPlace(m)}`).join(", ")}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          {left.length > 0 && (
            <Sheet title="Left" aside="their record stays">
              <ul>
                {left.map((x) => (
                  <li key={x.id} className="flex items-baseline justify-between gap-3 border-b border-line py-0.5">
                    <span>
                      {x.name} <span className="text-soft">section {x.section}</span>
                    </span>
                    <TakeInAgain projectId={p.id} personId={x.id} name={x.name} />
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </div>
        <div className="grid gap-5">
          <Sheet title="Instructors">
            <ul className="mb-2">
              {staff.map((s) => (
                <li key={s.id}>
                  {s.name} <span className="text-soft">{s.role === "owner" ? "owner" : "co-instructor"}</span>
                  {s.role === "co" && may(staffActs.manage) && (
                    <StaffEnd projectId={p.id} personId={s.id} name={s.name} />
                  )}
                </li>
              ))}
            </ul>
            {may(staffActs.manage) && <CoForm projectId={p.id} />}
          </Sheet>
          <Sheet title="Guest links" aside="no account needed">
            <ul className="mb-3">
              {guests.map((g) => (
                <li
                  key={g.id}
                  className="flex items-baseline justify-between gap-3 border-b border-line py-1 last:border-0"
                >
                  <span className={g.revokedAt ? "text-soft line-through" : undefined}>
                    {g.label}{" "}
                    <span className="text-soft">
                      {g.role}
                      {g.hasPin ? ", with PIN" : ""}
                    </span>
                  </span>
                  {g.revokedAt ? (
                    <span className="text-sm text-soft">taken back</span>
                  ) : (
                    <span className="flex items-center gap-1 text-sm text-soft">
                      until {fullDate(g.expiresAt)}
                      <RevokeButton id={g.id} />
                    </span>
                  )}
                </li>
              ))}
            </ul>
            <GuestForm projectId={p.id} />
          </Sheet>
        </div>
      </div>
    </>
  );
}
