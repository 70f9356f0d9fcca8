import { shareOfParts } from "@/core/teams/parts";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
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
                <div className="mb-2">
                  <DataTable
                    caption={`Parts of ${t.name}`}
                    filtered={false}
                    columns={[
                      { key: "name", text: "Part" },
                      { key: "role", text: "Role" },
                      { key: "owners", text: "Who has it" },
                      { key: "tools", text: "", className: "no-print" },
                    ]}
                    rows={mine.map((x) => {
                      const owners = t.members.filter((m) => x.owners.includes(m.id)).map((m) => m.name);
                      return {
                        id: x.id,
                        cells: {
                          name: { value: x.name, className: "font-[600] wrap-anywhere" },
                          role: x.role || "–",
                          owners: owners.join(", ") || { value: "nobody", className: "text-ochre-deep" },
                          tools: {
                            value: null,
                            show: (
                              <span className="flex gap-2">
                                <PartForm
                                  teamId={t.id}
                                  members={members}
                                  edit={{ id: x.id, version: x.version, name: x.name, role: x.role, owners: x.owners }}
                                />
                                <RemovePart id={x.id} />
                              </span>
                            ),
                          },
                        },
                      };
                    })}
                  />
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
