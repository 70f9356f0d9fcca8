import { proposedSeed } from "@/platform/draw/seed";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { studentsOf } from "@/stages/people/queries/students";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { RestoreTeam } from "../parts/buttons";
import { ConceptOfTeam } from "../parts/concept-of-team";
import { DrawForm } from "../parts/draw-form";
import { FoundTeam } from "../parts/found-team";
import { JoinTeam } from "../parts/join-team";
import { NewTeamForm } from "../parts/new-team-form";
import { Placement } from "../parts/placement";
import { RenameForm } from "../parts/rename-form";
import { TeamTabs } from "../parts/team-tabs";
import { apartIn } from "../queries/forming";
import { drawsOf, retiredTeamsOf, teamsOf } from "../queries/teams";
import { joiningOf, lookingFor } from "../view/choosing";

/** Teams by section: members and roles, students without a team, and the draw. */
export async function TeamsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug);
  const p = frame.project;
  const [teams, students, draws, concepts, settings, retired, apart] = await Promise.all([
    teamsOf(p.id),
    studentsOf(p.id),
    drawsOf(p.id, "teams"),
    conceptsOf(p.id, actor),
    settingsOf(p.id),
    staff ? retiredTeamsOf(p.id) : [],
    apartIn(p.id),
  ]);
  const going = concepts.filter((k) => k.fate === "goes on").map((k) => ({ value: k.id, label: k.title }));
  const self = settings.teamSchool === "self" && !staff;
  const sections = frame.sections.map((s) => ({ value: s.id, label: s.name }));
  const me = { id: actor.id, sectionId: students.find((x) => x.id === actor.id)?.sectionId };
  const loose = students.filter((s) => !s.teamId);
  const options = teams.map((t) => ({ value: t.id, label: t.name }));
  return (
    <>
      <PageHead
        title="Teams"
        note={`${teams.length} teams · ${students.length - loose.length} of ${students.length} students placed`}
      >
        {staff && <LinkButton href={`/p/${slug}/people`}>Roster</LinkButton>}
      </PageHead>
      <TeamTabs slug={slug} staff={staff} />
      {staff && students.length === 0 && (
        <Empty
          title="Nobody to form teams of yet"
          action={
            <LinkButton href={`/p/${slug}/people`} look="main">
              Bring in the roster
            </LinkButton>
          }
        >
          The roster comes first: from a CSV file or pasted from a spreadsheet.
        </Empty>
      )}
      {!staff && !self && teams.length === 0 && (
        <Empty title="Teams are not formed yet">Your instructor forms them, by hand or by a draw.</Empty>
      )}
      {self && (
        <Sheet className="mb-4" title="Choose your team" aside={`${settings.teamMin} to ${settings.teamMax} in each`}>
          <p className="mb-2 text-soft">
            {ownTeam
              ? "To change, leave your team first, or join another with a free place."
              : "Join a team that has a free place, or found one and let others join."}
          </p>
          {!ownTeam && <FoundTeam projectId={p.id} personId={actor.id} />}
        </Sheet>
      )}
      {staff && students.length > 0 && (
        <div className={loose.length > 0 ? "no-print mb-4 grid gap-4 lg:grid-cols-[1fr_auto]" : "no-print mb-4"}>
          {loose.length > 0 && (
            <Sheet title="Draw" aside={`${loose.length} students have no team`}>
              <p className="mb-2 text-soft">
                Students of the section who have no team are put into new teams. Anybody who knows the seed and the
                roster can repeat the draw.
              </p>
              <DrawForm projectId={p.id} sections={sections} seed={proposedSeed()} />
            </Sheet>
          )}
          <Sheet title="By hand">
            <NewTeamForm projectId={p.id} sections={sections} />
          </Sheet>
        </div>
      )}
      {staff && loose.length > 0 && (
        <Sheet className="mb-4" title="No team yet">
          <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
            {loose.map((s) => (
              <li key={s.id} className="flex items-center justify-between gap-2 py-0.5">
                <span className="wrap-anywhere">
                  {s.name} <span className="text-sm text-soft">section {s.section}</span>
                </span>
                {teams.length > 0 && (
                  <Placement projectId={p.id} personId={s.id} teamId={null} role="" teams={options} name={s.name} />
                )}
              </li>
            ))}
          </ul>
        </Sheet>
      )}
      {frame.sections.map((section) => {
        const mine = teams.filter(
          (t) => t.sectionId === section.id || (t.sectionId === null && section === frame.sections[0]),
        );
        if (!mine.length) return null;
        return (
          <section key={section.id} className="mb-5">
            <h2 className="mb-2">Section {section.name}</h2>
            <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2 xl:grid-cols-3">
              {mine.map((t) => (
                <div key={t.id} className="border-t-2 border-stone-4 pt-1.5">
                  {staff ? (
                    <RenameForm id={t.id} version={t.version} name={t.name} href={`/p/${slug}/teams/${t.id}`} />
                  ) : (
                    <p className="text-[15px] font-[650]">
                      {t.id === ownTeam ? (
                        <>
                          <Link href={`/p/${slug}/teams/${t.id}`} className="hover:text-iron">
                            {t.name}
                          </Link>
                          <span className="font-normal text-iron"> · my team</span>
                        </>
                      ) : (
                        t.name
                      )}
                    </p>
                  )}
                  {staff || self || t.id === ownTeam ? (
                    <ul>
                      {t.members.map((m) => (
                        <li
                          key={m.id}
                          className="flex items-center justify-between gap-2 border-b border-line py-1 last:border-0"
                        >
                          <span className="wrap-anywhere">{m.name}</span>
                          {staff ? (
                            <Placement
                              projectId={p.id}
                              personId={m.id}
                              teamId={t.id}
                              role={m.role}
                              teams={options}
                              name={m.name}
                            />
                          ) : (
                            <span className="text-soft">{m.role}</span>
                          )}
                        </li>
                      ))}
                      {t.members.length === 0 && <li className="text-soft">nobody yet</li>}
                    </ul>
                  ) : (
                    <p className="text-soft">{t.members.length} members</p>
                  )}
                  {staff
                    ? going.length > 0 && (
                        <Fold
                          className="mt-1 text-sm"
                          labelClass="text-soft"
                          label={t.concept ? `works on ${t.concept}` : "works on no concept yet"}
                        >
                          <ConceptOfTeam id={t.id} conceptId={t.conceptId} concepts={going} />
                        </Fold>
                      )
                    : t.concept && <p className="mt-1 text-sm text-soft">works on {t.concept}</p>}
                  {self && (
                    <p className="mt-1 flex items-baseline gap-3">
                      <JoinTeam
                        projectId={p.id}
                        personId={actor.id}
                        teamId={t.id}
                        joining={joiningOf(t, me, settings.teamMax, apart)}
                      />
                      <span className="text-sm text-soft">{lookingFor(t.members.length, settings.teamMin)}</span>
                    </p>
                  )}
                </div>
              ))}
            </div>
          </section>
        );
      })}
      {retired.length > 0 && (
        <p className="no-print mb-3 flex flex-wrap gap-x-4 text-sm text-soft">
          Retired:{" "}
          {retired.map((t) => (
            <span key={t.id}>
              {t.name} <RestoreTeam id={t.id} name={t.name} />
            </span>
          ))}
        </p>
      )}
      {draws.length > 0 && (
        <p className="text-sm text-soft">
          Draws: {draws.map((d) => `seed ${d.seed}, ${instant(d.drawnAt)}, by ${d.drawnBy}`).join("; ")}
        </p>
      )}
    </>
  );
}
