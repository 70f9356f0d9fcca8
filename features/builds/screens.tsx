import Link from "@/ui/link";
import { notFound } from "next/navigation";
import { isBuildMeasure, marginOf } from "@/core/needs/requirement";
import { compareEnvelope } from "@/core/quantity/envelope";
import { formatNumber, formatSi, fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { weekOf } from "@/core/sessions/sessions";
import { type Build, buildById, buildsOf } from "@/data/builds";
import { protocolsOf } from "@/data/bench";
import { limitOf, limitWords, measureWords, type RequirementRow } from "@/data/needs";
import { projectFacts, requirementStatus, summaryOf } from "@/data/status";
import { teamsOf } from "@/data/teams";
import { gateBefore } from "@/data/gates";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { fullDate, instant, shortDate } from "@/ui/date";
import { Caution, Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { BuildForm, PhotoUpload, RemovePhoto } from "./forms";

/**
 * Margin of a build's recorded mass, cost or size against a limit, in the limit's unit; null where there is nothing to
 * compare.
 */
function margin(r: RequirementRow, b: Build): { text: string; bad: boolean } | null {
  const limit = limitOf(r);
  if (!limit) return null;
  if (r.measure === "envelope" && b.sides && limit.sides) {
    const worst = compareEnvelope(b.sides, limit.sides)
      .map((s) => Number(s.margin))
      .sort((a, c) => a - c)[0]!;
    return { text: `${formatNumber(worst * 1000, 0)} mm`, bad: worst < 0 };
  }
  const value = r.measure === "mass" || r.measure === "cost" ? b[r.measure] : null;
  const m = value === null || value === undefined ? null : marginOf(limit, value);
  return m
    ? { text: `${formatSi(m, limit.unit, 2)}${limit.unit === "1" ? "" : ` ${limit.unit}`}`, bad: m.lt(0) }
    : null;
}

const size = (b: Build) => (b.sides ? b.sides.map((s) => formatNumber(Number(s) * 1000, 0)).join(" × ") : null);

/** Generations by team: what changed, why, mass, cost and size against the limits, and what came of it. */
export async function BuildsScreen({ slug, team, week }: { slug: string; team?: string; week?: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectFacts(p.id);
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
                    const s = primary && channel ? summaryOf(facts, primary, b.id, channel.key) : null;
                    const over = (m: string) =>
                      limits
                        .filter((r) => r.measure === m)
                        .map((r) => margin(r, b))
                        .find((x) => x?.bad);
                    const cell = (m: string, text: string | null) => (
                      <span
                        className={cx(over(m) && "font-[650] text-iron")}
                        title={over(m) ? `${over(m)!.text.replace("−", "")} over the limit` : undefined}
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
                              {s && s.value.counted !== null ? (
                                <Figure working={s.working}>{formatNumber(s.value.counted, 2)}</Figure>
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

/** One build: its record, its limits with margins, its photos, and how every requirement stands. */
export async function BuildScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const [b, facts] = await Promise.all([buildById(p.id, id), projectFacts(p.id)]);
  if (!b) notFound();
  const mine = staff || b.teamId === ownTeam;
  const siblings = facts.builds.filter((x) => x.teamId === b.teamId);
  const parents = facts.builds.filter((x) => b.parents.includes(x.id));
  const changed =
    parents.length === 1
      ? [...new Set([...Object.keys(b.variables), ...Object.keys(parents[0]!.variables)])].filter(
          (k) => b.variables[k] !== parents[0]!.variables[k],
        )
      : null;
  const statuses = facts.requirements.map((r) => ({ r, s: requirementStatus(facts, r, b), m: margin(r, b) }));
  return (
    <>
      <PageHead
        title={
          <>
            {b.team} <span className="text-soft">G{b.number}</span>
          </>
        }
        note={
          `${b.stage}, built ${fullDate(b.builtOn)} · recorded by ${b.recordedBy}, ${instant(b.createdAt)}` +
          `${b.revision > 1 ? ` · revision ${b.revision}` : ""}`
        }
      >
        {facts.protocols.length > 0 && (
          <LinkButton href={`/p/${slug}/bench?build=${b.id}`}>{mine ? "Test it" : "Its runs"}</LinkButton>
        )}
        {mine && <LinkButton href={`/p/${slug}/builds/${b.id}/edit`}>Edit</LinkButton>}
      </PageHead>
      <nav aria-label="Generations" className="no-print mb-3 text-soft">
        {siblings.map((x, i) => (
          <span key={x.id}>
            {i > 0 && " → "}
            <Link
              href={`/p/${slug}/builds/${x.id}`}
              aria-current={x.id === b.id ? "page" : undefined}
              className={x.id === b.id ? "font-[650] text-ink" : "hover:text-ink"}
            >
              G{x.number}
            </Link>
          </span>
        ))}
      </nav>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid gap-4">
          <Sheet title="Record">
            <dl className="grid grid-cols-[120px_1fr] gap-y-1.5">
              {(
                [
                  ["What changed", b.whatChanged],
                  ["Why", b.why],
                  [
                    "Expected",
                    [b.expected, b.predicted && `predicted ${formatNumber(b.predicted, 1)}`].filter(Boolean).join("; "),
                  ],
                  ["What it taught", b.learned],
                  ["Made from", parents.map((x) => `${x.team} G${x.number}`).join(", ")],
                  ["Features", b.features.join(", ")],
                ] as const
              ).map(
                ([k, v]) =>
                  v && (
                    <div key={k} className="contents">
                      <dt className="text-soft">{k}</dt>
                      <dd>{v}</dd>
                    </div>
                  ),
              )}
            </dl>
          </Sheet>
          {Object.keys(b.variables).length > 0 && (
            <Sheet
              title="Design variables"
              aside={
                changed &&
                (changed.length === 0
                  ? "the same as before: a repeat"
                  : changed.length === 1
                    ? "one changed: clean"
                    : `${changed.length} changed: a difference cannot be put down to one`)
              }
            >
              <table className="w-full">
                <tbody>
                  {Object.entries(b.variables).map(([k, v]) => (
                    <tr key={k} className="border-b border-line last:border-0">
                      <td className="py-0.5 text-soft">{k}</td>
                      <td className={cx("py-0.5", changed?.includes(k) && "font-[650]")}>{v}</td>
                      <td className="py-0.5 text-sm text-soft">
                        {changed?.includes(k) && `was ${parents[0]!.variables[k] ?? "not set"}`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Sheet>
          )}
          <Sheet title="Photos" aside={mine && <PhotoUpload buildId={b.id} />}>
            {b.photos.length === 0 ? (
              <p className="text-soft">None yet. A photo of each generation is worth more than its description.</p>
            ) : (
              <div className="grid grid-cols-2 gap-3">
                {b.photos.map((f) => (
                  <figure key={f.id}>
                    <img
                      src={`/api/file/${f.id}`}
                      alt={f.caption || `${b.team} G${b.number}`}
                      className="w-full rounded-sm border border-line"
                      loading="lazy"
                    />
                    <figcaption className="flex justify-between text-sm text-soft">
                      {f.caption}
                      {mine && <RemovePhoto id={f.id} />}
                    </figcaption>
                  </figure>
                ))}
              </div>
            )}
          </Sheet>
        </div>
        <Sheet
          title="Against the requirements"
          aside={`${statuses.filter((x) => x.s.value === "met").length} met of ${statuses.length}`}
        >
          <table className="w-full">
            <thead className="sr-only">
              <tr>
                <th>Requirement</th>
                <th>Limit</th>
                <th>Margin</th>
                <th>Status</th>
              </tr>
            </thead>
            <tbody>
              {statuses.map(({ r, s, m }) => (
                <tr key={r.id} className="border-b border-line align-top last:border-0">
                  <td className="py-1 pr-2">
                    <Link href={`/p/${slug}/needs?r=${r.code}`} className="font-[600] hover:text-iron">
                      {r.code}
                    </Link>{" "}
                    <span className="text-soft">{r.statement}</span>
                  </td>
                  <td className="py-1 pr-3 text-right whitespace-nowrap">
                    {limitWords(r, p.currency)}
                    {m && (
                      <span className={cx("block text-sm", m.bad ? "text-iron" : "text-soft")}>margin {m.text}</span>
                    )}
                  </td>
                  <td className="py-1">
                    <Figure working={s.working} className="border-b-0">
                      <VerdictMark verdict={s.value} word />
                    </Figure>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Sheet>
      </div>
    </>
  );
}

export async function BuildEditScreen({ slug, id, team }: { slug: string; id?: string; team?: string }) {
  const page = await projectPage(slug);
  const p = page.frame.project;
  const [builds, teams, protocols] = await Promise.all([buildsOf(p.id), teamsOf(p.id), protocolsOf(p.id)]);
  const b = id ? builds.find((x) => x.id === id) : undefined;
  const owner = teams.find((t) => t.id === (b?.teamId ?? team));
  if (!owner || (id && !b) || !page.may("build.edit", { team: owner.id })) notFound();
  const mine = builds.filter((x) => x.teamId === owner.id && x.id !== b?.id);
  const primary =
    protocols[0] && channelsOf(protocols[0].definition).find((c) => c.key === protocols[0]!.definition.primary);
  const last = mine.at(-1);
  const gate = b ? [] : (await gateBefore(p.id, owner.id, "final")).says;
  const vars = (x?: Build) =>
    Object.entries(x?.variables ?? {})
      .map(([k, v]) => `${k} = ${v}`)
      .join("\n");
  return (
    <>
      <PageHead
        title={b ? `${owner.name} G${b.number}: edit` : `${owner.name}: a new generation`}
        note={
          b
            ? undefined
            : last
              ? `After G${last.number}. Its variables are filled in: change what you changed.`
              : "The first one."
        }
      />
      {gate.length > 0 && (
        <div className="mb-3 max-w-[860px] border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          {gate.map((g) => (
            <p key={g}>{g}</p>
          ))}
          <p className="text-sm">
            <Link href={`/p/${slug}/plan/gates`} className="underline">
              Open the gates
            </Link>
          </p>
        </div>
      )}
      {!b && (
        <div className="mb-4 max-w-[860px]">
          <Caution>
            Cutting, drilling and hot glue: only with tools that you are signed off for, eyes protected, and the
            instructor told before you start. The school's workshop rules come first.
          </Caution>
        </div>
      )}
      <BuildForm
        slug={slug}
        teamId={owner.id}
        id={b?.id}
        version={b?.version ?? 0}
        predictedUnit={primary?.unit ?? ""}
        currency={p.currency}
        parents={mine.map((x) => ({ value: x.id, label: `${owner.name} G${x.number}` }))}
        defaults={{
          stage: b?.stage ?? last?.stage ?? "mock-up",
          builtOn: b?.builtOn ?? page.frame.today,
          whatChanged: b?.whatChanged ?? "",
          why: b?.why ?? "",
          expected: b?.expected ?? "",
          predicted: b?.predicted ? String(Number(b.predicted)) : "",
          mass: b?.mass ? `${fromSi(b.mass, "kg")} kg` : "",
          cost: b?.cost ? String(Number(b.cost)) : "",
          sides: b && size(b) ? `${size(b)} mm` : "",
          learned: b?.learned ?? "",
          features: (b ?? last)?.features.join(", ") ?? "",
          variables: vars(b ?? last),
          parentId: b?.parents[0] ?? (b ? "" : (last?.id ?? "")),
        }}
      />
    </>
  );
}
