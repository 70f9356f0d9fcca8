import { type Actor, can } from "@/core/access/can";
import type { RunPlace } from "@/core/vocabulary/runs";
import type * as row from "@/platform/db/rows";
import "server-only";
import { formatNumber } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import { channelsOf, type ProtocolDefinition } from "@/core/run/protocol";
import { makeWorking, type Working } from "@/core/working/working";
import { db } from "@/platform/db/db";
import { runsOf } from "@/stages/bench/queries/runs";
import { recordActs } from "../acts";

export interface Benchmark {
  value: number;
  shown: string;
  unit: string;
  team: string;
  build: number;
  place: RunPlace;
  edition: string;
  slug: string;
  working: Working;
}

// An edition's best, kept with the marks that its builds have gathered: they grow whenever a fact of a build changes.
const bests = new Map<string, Benchmark | null>();

/** What each project's bests come from, as a text that changes with it. */
async function printsOf(projectIds: readonly string[]): Promise<Map<string, string>> {
  const sql = db();
  const rows = await sql<{ id: string; print: string }[]>`
    SELECT p.id, concat_ws(' ', p.title, k.n, k.marks, t.names) AS print
    FROM project p
    LEFT JOIN LATERAL (
      SELECT count(*) AS n, sum(mark) AS marks FROM kept_build WHERE project_id = p.id
    ) k ON true
    LEFT JOIN LATERAL (
      SELECT md5(string_agg(name, ',' ORDER BY id)) AS names FROM team WHERE project_id = p.id
    ) t ON true
    WHERE p.id IN ${sql(projectIds)}
  `;
  return new Map(rows.map((r) => [r.id, r.print]));
}

/**
 * The best comparable value that each edition reached in a channel of the protocol of a name, in the order asked for;
 * null where there is none.
 */
export async function bestsOf(
  wanted: readonly { projectId: string; protocol: string; channel: string }[],
): Promise<(Benchmark | null)[]> {
  if (!wanted.length) return [];
  const prints = await printsOf([...new Set(wanted.map((w) => w.projectId))]);
  if (bests.size > 2000) bests.clear();
  return Promise.all(
    wanted.map(async ({ projectId, protocol, channel }) => {
      const key = `${projectId}/${protocol}/${channel}/${prints.get(projectId)}`;
      if (!bests.has(key)) bests.set(key, await computeBest(projectId, protocol, channel));
      return bests.get(key)!;
    }),
  );
}

/** The best comparable value that an edition reached in a channel of a protocol; null when there is none. */
export const bestOf = async (projectId: string, protocol: string, channel: string): Promise<Benchmark | null> =>
  (await bestsOf([{ projectId, protocol, channel }]))[0] ?? null;

async function computeBest(projectId: string, protocolName: string, channel: string): Promise<Benchmark | null> {
  const sql = db();
  const [project] = await sql<
    { title: row.Project["title"]; slug: row.Project["slug"] }[]
  >`SELECT title, slug FROM project WHERE id = ${projectId}`;
  const versions = await sql<
    { id: row.ProtocolVersion["id"]; protocolId: row.ProtocolVersion["protocolId"]; definition: ProtocolDefinition }[]
  >`
    SELECT v.id, v.protocol_id, v.definition
    FROM protocol_version v
    JOIN protocol p ON p.id = v.protocol_id
    WHERE p.project_id = ${projectId} AND p.name = ${protocolName}
  `;
  const known = versions.filter((v) => channelsOf(v.definition).some((c) => c.key === channel));
  if (!project || !known.length) return null;
  const [runs, builds] = await Promise.all([
    runsOf(projectId, { protocolId: known[0]!.protocolId }),
    sql<{ id: row.Build["id"]; number: row.Build["number"]; team: row.Team["name"] }[]>`
      SELECT b.id, b.number, t.name AS team
      FROM build b
      JOIN team t ON t.id = b.team_id
      WHERE b.project_id = ${projectId}
    `,
  ]);
  const { better } = known[0]!.definition;
  const { unit, name } = channelsOf(known[0]!.definition).find((c) => c.key === channel)!;
  let best: { value: number; run: (typeof runs)[number]; working: Working; shown: string } | null = null;
  for (const run of runs) {
    const v = known.find((x) => x.id === run.protocolVersionId);
    if (!v || run.place === "pilot") continue;
    const assessed = assessRun(v.definition, run);
    const value = assessed.values[channel];
    if (!assessed.comparable || !value?.value) continue;
    if (!best || (better === "more" ? value.value.value > best.value : value.value.value < best.value))
      best = { value: value.value.value, run, working: value.working, shown: value.value.shown };
  }
  if (!best) return null;
  const build = builds.find((b) => b.id === best.run.buildId)!;
  return {
    value: best.value,
    shown: best.shown,
    unit,
    team: build.team,
    build: build.number,
    place: best.run.place,
    edition: project.title,
    slug: project.slug,
    working: makeWorking({
      ...best.working,
      title: `${name}: best of ${project.title}`,
      result: formatNumber(best.value, 2),
      rule:
        `The ${better === "more" ? "largest" : "smallest"} comparable value of all runs of that edition, on ` +
        "the bench and in the contest.",
      inputs: [
        {
          label: `${build.team} G${build.number}, ${best.run.place}`,
          value: best.shown,
          unit,
          by: best.run.by,
          at: best.run.at,
        },
        ...best.working.inputs,
      ],
    }),
  };
}

/** The earlier editions of a project, newest first. */
export async function editionsBefore(
  projectId: string,
): Promise<{ id: string; title: string; slug: string; endsOn: string }[]> {
  return db()`
    WITH RECURSIVE line AS (
      SELECT edition_of AS id, 1 AS depth
      FROM project
      WHERE id = ${projectId}
      UNION ALL
      SELECT p.edition_of, depth + 1
      FROM line
      JOIN project p ON p.id = line.id
      WHERE depth < 30
    )
    SELECT p.id, p.title, p.slug, p.ends_on
    FROM line
    JOIN project p ON p.id = line.id
    ORDER BY line.depth
  `;
}

/** A project and the editions before it, by id, the newest first. */
export const editionLine = async (projectId: string): Promise<string[]> => [
  projectId,
  ...(await editionsBefore(projectId)).map((e) => e.id),
];

/** Which projects an actor may open as records: those that follow from an edition they are in. */
export const laterEditions = (projectId: string) =>
  db()<
    { id: row.Project["id"]; title: row.Project["title"]; slug: row.Project["slug"] }[]
  >`SELECT id, title, slug FROM project WHERE edition_of = ${projectId}`;

/** Something that was withdrawn, and what went with it. */
export interface WithdrawnRow {
  id: row.Withdrawn["id"];
  kind: row.Withdrawn["kind"];
  label: row.Withdrawn["label"];
  teamId: row.Withdrawn["teamId"];
  personId: row.Withdrawn["personId"];
  reason: row.Withdrawn["reason"];
  by: row.Withdrawn["withdrawnBy"];
  at: row.Withdrawn["withdrawnAt"];
  /** How many rows of which table went along. */
  along: { table: row.WithdrawnRow["tableName"]; n: number }[];
}

/** What was withdrawn from a project and what this person may bring back, the newest first. */
export async function withdrawalsOf(projectId: string, actor: Actor): Promise<WithdrawnRow[]> {
  const rows = await db()<WithdrawnRow[]>`
    SELECT
      id, kind, label, team_id, person_id, reason, withdrawn_by AS by, withdrawn_at AS at,
      coalesce(
        (
          SELECT jsonb_agg(jsonb_build_object('table', table_name, 'n', n) ORDER BY first)
          FROM (
            SELECT table_name, count(*)::int AS n, min(place) AS first
            FROM withdrawn_row r
            WHERE r.withdrawn_id = w.id AND place > 1
            GROUP BY table_name
          ) x
        ),
        '[]'
      ) AS along
    FROM withdrawn w
    WHERE project_id = ${projectId}
    ORDER BY withdrawn_at DESC, id
  `;
  return rows.filter((r) =>
    can(actor, recordActs.bringBack, { project: projectId, team: r.teamId, person: r.personId ?? undefined }),
  );
}
