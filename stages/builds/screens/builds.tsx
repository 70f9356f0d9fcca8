import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { BuildTabs } from "../parts/build-tabs";
import { GenerationsTable } from "../parts/generations-table";
import { generationsView } from "../view/generations";

/** Generations by team: what changed, why, mass, cost and size against the limits, and what came of it. */
export async function BuildsScreen({ slug, team, week }: { slug: string; team?: string; week?: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const base = `/p/${slug}/builds`;
  const view = generationsView(facts, p, { team, week }, frame.units);
  const { chosen } = view;
  const mayAdd = (id: string) => staff || id === ownTeam;
  return (
    <>
      <PageHead
        title="Builds"
        note={
          <>
            {facts.builds.length} generations of {facts.teams.length} teams
            {view.limits.length > 0 && ` · limits: ${view.limits.join(", ")}`}
          </>
        }
      >
        {(chosen ? mayAdd(chosen.id) : ownTeam) && (
          <LinkButton href={`${base}/new?team=${chosen?.id ?? ownTeam}`} look="main">
            Record a build
          </LinkButton>
        )}
      </PageHead>
      <BuildTabs slug={slug} />
      {facts.teams.length > 0 && (
        <div className="mb-3">
          <LinkChoice
            label="Team"
            options={[
              { value: "", label: "All teams" },
              ...facts.teams.map((t) => ({ value: t.id as string, label: t.name })),
            ]}
            chosen={chosen?.id ?? ""}
            hrefOf={(id) => (id ? `${base}?team=${id}` : base)}
          />
        </div>
      )}
      {facts.teams.length === 0 && (
        <Empty
          title="Builds belong to teams"
          action={
            staff && (
              <LinkButton href={`/p/${slug}/teams`} look="main">
                Form teams
              </LinkButton>
            )
          }
        >
          A team records each generation that it builds: what changed, why, what it expects, and its mass, cost and
          size.
        </Empty>
      )}
      {facts.teams.length > 0 && (
        <>
          {view.lines.length > 0 && (
            <GenerationsTable
              slug={slug}
              units={frame.units}
              lines={view.lines}
              currency={p.currency}
              channel={view.channel}
              protocolId={view.protocol?.id}
              mayAdd={mayAdd}
            />
          )}
          {view.bare.length > 0 && (
            <ul className="mt-3 text-soft" aria-label="Teams without a build">
              {view.bare.map((t) => (
                <li key={t.id}>
                  {t.name}: no build yet
                  {mayAdd(t.id) && (
                    <>
                      {" · "}
                      <Link href={`${base}/new?team=${t.id}`} className="underline underline-offset-3 hover:text-ink">
                        record its first
                      </Link>
                    </>
                  )}
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </>
  );
}
