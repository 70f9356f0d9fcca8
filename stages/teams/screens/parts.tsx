import { shareOfParts } from "@/core/teams/parts";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { RemovePart } from "../parts/buttons";
import { PartForm } from "../parts/part-form";
import { TeamTabs } from "../parts/team-tabs";
import { partsOf } from "../queries/parts";
import { teamsOf } from "../queries/teams";

/** The parts of each team with their owners: what nobody has, and whether the shares are equal. */
export async function PartsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const [teams, parts, settings] = await Promise.all([teamsOf(p.id), partsOf(p.id), settingsOf(p.id)]);
  const shown = staff ? teams : teams.filter((t) => t.id === ownTeam);
  const school = {
    number: "every member designs an equal number of parts",
    role: "shares by role",
    none: "shares are not checked",
  }[settings.shareSchool];
  return (
    <>
      <PageHead title="Parts and owners" note={`By this project's school: ${school}.`} />
      <TeamTabs slug={slug} staff={staff} />
      {shown.length === 0 && (
        <Empty title={staff ? "No team yet" : "You are in no team yet"}>
          When there are teams, each lists the parts of its design here, with who designs which.
        </Empty>
      )}
      <div className="grid gap-6">
        {shown.map((t) => {
          const mine = parts.filter((x) => x.teamId === t.id);
          const report = shareOfParts(mine, t.members, settings.shareSchool);
          const members = t.members.map((m) => ({ value: m.id, label: m.name }));
          return (
            <section key={t.id} className="min-w-0 border-t-2 border-stone-4 pt-2">
              <div className="mb-1.5 flex flex-wrap items-baseline justify-between gap-x-6">
                <h2 className="text-[15px] wrap-anywhere">
                  {t.name}{" "}
                  {t.concept && (
                    <Link href={`/p/${slug}/concepts/${t.conceptId}`} className="font-normal text-soft underline">
                      {t.concept}
                    </Link>
                  )}
                </h2>
                <p className="text-sm text-soft wrap-anywhere">
                  {report.shares
                    .map(
                      (x) =>
                        `${x.member.name.split(" ")[0]} ${Number.isInteger(x.parts) ? x.parts : x.parts.toFixed(1)}`,
                    )
                    .join(" · ")}
                </p>
              </div>
              {report.says.length > 0 && (
                <ul className="mb-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1 text-sm">
                  {report.says.map((w) => (
                    <li key={w}>{w}</li>
                  ))}
                </ul>
              )}
              {mine.length > 0 && (
                <div className="mb-2 overflow-x-auto" tabIndex={0} role="region" aria-label={`Parts of ${t.name}`}>
                  <table className="table">
                    <thead>
                      <tr>
                        <th>Part</th>
                        <th>Role</th>
                        <th>Who has it</th>
                        <th />
                      </tr>
                    </thead>
                    <tbody>
                      {mine.map((x) => (
                        <tr key={x.id}>
                          <td className="font-[600] wrap-anywhere">{x.name}</td>
                          <td>{x.role || "–"}</td>
                          <td>
                            {x.owners
                              .map((o) => t.members.find((m) => m.id === o)?.name)
                              .filter(Boolean)
                              .join(", ") || <span className="text-ochre-deep">nobody</span>}
                          </td>
                          <td className="no-print">
                            <span className="flex gap-2">
                              <PartForm
                                teamId={t.id}
                                members={members}
                                edit={{ id: x.id, version: x.version, name: x.name, role: x.role, owners: x.owners }}
                              />
                              <RemovePart id={x.id} />
                            </span>
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </div>
              )}
              <Fold
                className="no-print"
                labelClass="text-sm text-soft"
                start={mine.length === 0 && shown.length === 1}
                label="Add a part"
              >
                <div className="mt-1">
                  <PartForm teamId={t.id} members={members} />
                </div>
              </Fold>
            </section>
          );
        })}
      </div>
    </>
  );
}
