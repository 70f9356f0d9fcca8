import { notFound } from "next/navigation";
import { primaryOf } from "@/core/run/protocol";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { projectState } from "@/stages/needs/queries/state";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { buildActs } from "../acts";
import { BuildTabs } from "../parts/build-tabs";
import { MeetingTable } from "../parts/meeting-table";
import { failuresOf } from "../queries/failures";
import { apart, madeAlone, ownGenerations } from "../view/meeting";

/** Before a team brings its members' generations together: who has made what, and what each of them taught. */
export async function MeetingScreen({ slug, team }: { slug: string; team?: string }) {
  const { frame, ownTeam, may } = await projectPage(slug);
  const p = frame.project;
  const [facts, failures, settings] = await Promise.all([projectState(p.id), failuresOf(p.id), settingsOf(p.id)]);
  const made = madeAlone(facts.builds);
  const chosen =
    facts.teams.find((t) => t.id === (team ?? ownTeam)) ?? facts.teams.find((t) => made.has(t.id)) ?? facts.teams[0];
  if (!chosen) notFound();
  const builds = facts.builds.filter((b) => b.teamId === chosen.id);
  const open = apart(builds);
  const { rows, says } = ownGenerations(chosen.members, builds, settings.individualMin);
  const base = `/p/${slug}/builds`;
  const [protocol] = facts.protocols;
  const channel = protocol && primaryOf(protocol.definition);
  const mine = may(buildActs.edit, { team: chosen.id }) && !p.finishedAt;
  return (
    <>
      <PageHead
        title={`${chosen.name}: what comes together`}
        note="Generations that a member made alone, and what each of them taught, before the team makes one of them."
      >
        {mine && open.length > 1 && (
          <LinkButton href={`${base}/new?team=${chosen.id}&from=${open.map((b) => b.id).join(",")}`} look="main">
            Record the build made of these
          </LinkButton>
        )}
      </PageHead>
      <BuildTabs slug={slug} />
      <LinkChoice
        label="Team"
        options={facts.teams.map((t) => ({
          value: t.id as string,
          label: `${t.name}${made.has(t.id) ? ` (${made.get(t.id)})` : ""}`,
        }))}
        chosen={chosen.id}
        hrefOf={(id) => `${base}/meeting?team=${id}`}
      />
      <div className="mt-3 grid max-w-[980px] gap-4">
        {open.length === 0 ? (
          <Empty
            title="Nothing stands apart"
            action={mine && <LinkButton href={`${base}/new?team=${chosen.id}`}>Record a build</LinkButton>}
          >
            A build that says who made it alone stands here until a build of the team is made from it.
          </Empty>
        ) : (
          <Sheet title="Side by side">
            <MeetingTable
              base={base}
              builds={open}
              channel={channel}
              reached={(id) =>
                protocol && channel ? (facts.summary(id, protocol.id, channel.key)?.counted ?? null) : null
              }
              failed={(id) => failures.filter((f) => f.buildId === id && f.closedBy === null).map((f) => f.mode)}
            />
          </Sheet>
        )}
        <Sheet title="Made alone">
          {says && <p className="mb-1 text-ochre-deep">{says}</p>}
          <ul>
            {rows.map((r) => (
              <li key={r.id}>
                {r.name}:{" "}
                <span className="text-soft">
                  {r.own.length ? r.own.map((b) => `G${b.number}`).join(", ") : "none yet"}
                </span>
              </li>
            ))}
          </ul>
        </Sheet>
      </div>
    </>
  );
}
