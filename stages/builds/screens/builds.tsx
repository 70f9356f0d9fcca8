import { isBuildMeasure } from "@/core/needs/requirement";
import { formatNumber, formatSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { weekOf } from "@/core/sessions/sessions";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { limitWords, measureWords } from "@/stages/needs/view/requirements";
import { cx } from "@/ui/classes";
import { shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { tip } from "@/ui/tip";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { margin, size } from "../view";

/** Generations by team: what changed, why, mass, cost and size against the limits, and what came of it. */
export async function BuildsScreen({ slug, team, week }: { slug: string; team?: string; week?: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const base = `/p/${slug}/builds`;
  const chosen = facts.teams.find((t) => t.id === team);
  const teams = chosen ? [chosen] : facts.teams;
  const limits = facts.requirements.filter((r) => isBuildMeasure(r.measure));
  const primary = facts.protocols[0];
  const channel = primary && channelsOf(primary.definition).find((c) => c.key === primary.definition.primary);
  const mayAdd = (id: string) => staff || id === ownTeam;
  return (
    <>
      <PageHead
        title="Builds"
        note={
          <>
            {facts.builds.length} generations of {facts.teams.length} teams
            {limits.length > 0 && (
              <>
                {" "}
                · limits:{" "}
                {limits.map((r) => `${measureWords(r, facts.protocols)} ${limitWords(r, p.currency)}`).join(", ")}
              </>
            )}
          </>
        }
      >
        {(chosen ? mayAdd(chosen.id) : ownTeam) && (
          <LinkButton href={`${base}/new?team=${chosen?.id ?? ownTeam}`} look="main">
            Record a build
          </LinkButton>
        )}
      </PageHead>
      {facts.teams.length > 0 && (
        <nav aria-label="Team" className="no-print mb-3 text-soft">
          <Link href={base} className={chosen ? "hover:text-ink" : "font-[650] text-ink"}>
            All teams
          </Link>
          {facts.teams.map((t) => (
            <span key={t.id}>
              {" "}
              ·{" "}
              <Link
                href={`${base}?team=${t.id}`}
                aria-current={chosen?.id === t.id ? "true" : undefined}
                className={chosen?.id === t.id ? "font-[650] text-ink" : "hover:text-ink"}
              >
                {t.name}
              </Link>
            </span>
          ))}
        </nav>
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
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Generations">
          <table className="table">
            <thead>
              <tr>
                <th>Build</th>
                <th>Built</th>
                <th>What changed and why</th>
                <th className="num">
                  Mass <span className="unit">kg</span>
                </th>
                <th className="num">
                  Cost <span className="unit">{p.currency}</span>
                </th>
                <th>
                  Size <span className="unit">mm</span>
                </th>
                {channel && (
                  <>
                    <th className="num">Predicted</th>
                    <th className="num">
                      {channel.name} <span className="unit">{channel.unit}</span>
                    </th>
                  </>
                )}
              </tr>
            </thead>
            {teams.map((t) => {
              const builds = facts.builds.filter((b) => b.teamId === t.id);
              return (
                <tbody key={t.id}>
                  <tr className="band">
                    <td colSpan={8}>
                      <span className="flex items-baseline justify-between gap-3">
                        <span>
                          <span className="text-ink">{t.name}</span>
                          {t.section && ` · section ${t.section}`}
                          {builds.length === 0 && " · no build yet"}
                        </span>
                        {mayAdd(t.id) && (
                          <Link
                            href={`${base}/new?team=${t.id}`}
                            className="no-print font-normal underline decoration-line underline-offset-3 hover:text-ink"
                          >
                            record a build
                          </Link>
                        )}
                      </span>
                    </td>
                  </tr>
                  {builds.map((b) => {
                    const s = primary && channel ? facts.summary(b.id, primary.id, channel.key) : null;
                    const over = (m: string) =>
                      limits
                        .filter((r) => r.measure === m)
                        .map((r) => margin(r, b))
                        .find((x) => x?.bad);
                    const cell = (m: string, text: string | null) => (
                      <span
                        className={cx(over(m) && "font-[650] text-iron")}
                        {...tip(over(m) && `${over(m)!.text.replace("−", "")} over the limit`)}
                      >
                        {text ?? "–"}
                      </span>
                    );
                    return (
                      <tr
                        key={b.id}
                        className={
                          week && weekOf(p.startsOn, b.builtOn) === Number(week) && chosen ? "bg-[#f1eadc]" : undefined
                        }
                      >
                        <td className="whitespace-nowrap">
                          <Link href={`${base}/${b.id}`} className="font-[650] hover:text-iron">
                            {t.name} G{b.number}
                          </Link>
                          <span className="block text-sm text-soft">{b.stage}</span>
                        </td>
                        <td className="whitespace-nowrap">{shortDate(b.builtOn)}</td>
                        <td className="min-w-64">
                          {b.whatChanged}
                          {b.why && <span className="block text-sm text-soft">{b.why}</span>}
                        </td>
                        <td className="num">{cell("mass", b.mass === null ? null : formatSi(b.mass, "kg", 2))}</td>
                        <td className="num">{cell("cost", b.cost === null ? null : formatSi(b.cost, "1", 2))}</td>
                        <td className="whitespace-nowrap">{cell("envelope", size(b))}</td>
                        {channel && (
                          <>
                            <td className="num text-soft">
                              {b.predicted === null ? "–" : formatNumber(b.predicted, 1)}
                            </td>
                            <td className="num">
                              {s && s.counted !== null ? (
                                <Figure
                                  working={workingAt(slug, "summary", {
                                    build: b.id,
                                    protocol: primary!.id,
                                    key: channel.key,
                                  })}
                                >
                                  {formatNumber(s.counted, 2)}
                                </Figure>
                              ) : (
                                "–"
                              )}
                            </td>
                          </>
                        )}
                      </tr>
                    );
                  })}
                </tbody>
              );
            })}
          </table>
        </div>
      )}
    </>
  );
}
