// Makes a department out of the demo, by SQL: its running project many times over, each with a department's runs.
import { randomUUID } from "node:crypto";
import { inOrder } from "@/platform/bundle/catalog";
import { closeDb, db, inTransaction, type Tx } from "@/platform/db/db";
import { travels } from "@/platform/registry/table";
import { blockSize } from "@/stages/bench/schema";
import { extentOf, packed } from "@/stages/bench/view/samples";
import { freshenStandings } from "@/stages/contest/queries/standings";
import { freshen } from "@/stages/needs/queries/kept";
import { tables } from "@/stages/tables";

const copies = 42;
const runsEach = 2500;
/** Copies of the demo's gauge in each project: two million samples in all. */
const seriesEach = 16;
/** Entries of notebooks, of all projects together. */
const entriesInAll = 100_000;
const model = "terrace-pump";

/** SQL that gives a copy of a row other ids: each is made from the first and the copy's number, also inside texts. */
const functions = `
  CREATE FUNCTION pg_temp.other(id uuid, k integer) RETURNS uuid LANGUAGE sql IMMUTABLE AS $$
    SELECT md5(id::text || ':' || k)::uuid
  $$;
  CREATE FUNCTION pg_temp.other(t text, k integer) RETURNS text LANGUAGE plpgsql IMMUTABLE AS $$
  DECLARE m text;
  BEGIN
    FOR m IN
      SELECT DISTINCT x[1]
      FROM regexp_matches(t, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') AS x
    LOOP
      t := replace(t, m, md5(m || ':' || k)::uuid::text);
    END LOOP;
    RETURN t;
  END $$;
`;

const own: Readonly<Record<string, string>> = {
  "project.slug": "slug || '-' || k",
  "project.title": "title || ' ' || k",
  "project.edition_of": "NULL",
  "person.email": "NULL",
  "person.password_hash": "NULL",
  "person.admin": "false",
};

async function copyProject(sql: Tx, projectId: string): Promise<void> {
  const columns = await sql<{ table: string; column: string; type: string }[]>`
    SELECT c.relname AS table, a.attname AS column, format_type(a.atttypid, NULL) AS type
    FROM pg_attribute a
    JOIN pg_class c ON c.oid = a.attrelid
    JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE n.nspname = 'public' AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped
  `;
  const people = tables.flatMap((x) => (x.people ?? []).map((c) => `SELECT ${c} FROM ${x.name} WHERE ${x.of}`));
  for (const t of await inOrder(sql, tables)) {
    if (t.name === "file" || !travels(t)) continue;
    const mine = columns.filter((c) => c.table === t.name);
    const given = mine.map(({ column: c, type }) => {
      if (own[`${t.name}.${c}`]) return own[`${t.name}.${c}`];
      if (type === "uuid") return `pg_temp.other(${c}, k)`;
      if (type === "uuid[]") return `ARRAY(SELECT pg_temp.other(x, k) FROM unnest(${c}) x)`;
      if (type === "jsonb") return `pg_temp.other(${c}::text, k)::jsonb`;
      return c === "measure" || c === "target" ? `pg_temp.other(${c}::text, k)::${type}` : c;
    });
    await sql.unsafe(
      `INSERT INTO ${t.name} (${mine.map((c) => c.column).join(", ")})
       SELECT ${given.join(", ")} FROM ${t.name}, generate_series(1, ${copies}) AS k
       WHERE ${t.of ?? `id IN (${people.join(" UNION ")})`}`,
      [projectId],
    );
  }
}

/** Every bench run again and again, with its readings a little different, until each project has its number. */
async function moreRuns(sql: Tx): Promise<void> {
  const [{ runs }] = (await sql`
    SELECT count(*)::int AS runs
    FROM run
    WHERE place = 'bench' AND project_id = (SELECT id FROM project WHERE slug = ${model})
  `) as unknown as [{ runs: number }];
  const times = Math.ceil(runsEach / runs) - 1;
  await sql.unsafe(`
    CREATE TEMP TABLE more AS
    SELECT r.id AS was, pg_temp.other(r.id, 1000 + j) AS id, j
    FROM run r JOIN project p ON p.id = r.project_id, generate_series(1, ${times}) AS j
    WHERE r.place = 'bench' AND p.slug LIKE '${model}%' AND p.finished_at IS NULL;
    INSERT INTO run
      (id, project_id, build_id, build_revision, protocol_version_id, attempt, place, state, reason, recorded_by,
       recorded_at, version)
    SELECT m.id, r.project_id, r.build_id, r.build_revision, r.protocol_version_id, r.attempt + m.j * 1000, r.place,
      r.state, r.reason, r.recorded_by, r.recorded_at + m.j * interval '1 minute', r.version
    FROM more m JOIN run r ON r.id = m.was;
    INSERT INTO reading (run_id, key, role, value, entered)
    SELECT m.id, x.key, x.role,
      CASE WHEN x.role = 'measure' THEN round(x.value * (1 + 0.0005 * ((m.j * 7) % 11 - 5)), 6) ELSE x.value END,
      x.entered
    FROM more m JOIN reading x ON x.run_id = m.was;
    INSERT INTO evidence
      (id, project_id, requirement_id, build_id, kind, run_id, requirement_version, build_revision, protocol_version,
       finding, note, kept_reason, recorded_by, recorded_at)
    SELECT pg_temp.other(e.id, 1000 + m.j), e.project_id, e.requirement_id, e.build_id, e.kind, m.id,
      e.requirement_version, e.build_revision, e.protocol_version, e.finding, e.note, e.kept_reason, e.recorded_by,
      e.recorded_at
    FROM more m JOIN evidence e ON e.run_id = m.was;
  `);
}

/** Notebooks of a department: every entry again and again, earlier and earlier, until there are so many in all. */
async function moreEntries(sql: Tx): Promise<void> {
  await sql.unsafe(`
    CREATE TEMP TABLE more_entries AS
    SELECT e.id AS was, pg_temp.other(e.id, 3000 + j) AS id, j
    FROM notebook_entry e,
      generate_series(1, ceil(${entriesInAll} / (SELECT count(*) FROM notebook_entry)::numeric)::int) AS j;
    INSERT INTO notebook_entry (id, project_id, person_id, on_date, created_at, version)
    SELECT m.id, e.project_id, e.person_id, e.on_date - m.j, e.created_at - m.j * interval '1 day', 1
    FROM more_entries m JOIN notebook_entry e ON e.id = m.was;
    INSERT INTO notebook_version (entry_id, number, text, reason, written_at)
    SELECT m.id, 1, v.text || ' ' || m.j, '', v.written_at - m.j * interval '1 day'
    FROM more_entries m JOIN notebook_version v ON v.entry_id = m.was AND v.number = 1;
    INSERT INTO passage (kind, ref, project_id, team_id, person_id, at, text)
    SELECT kind, ref, project_id, team_id, person_id, at, text
    FROM passage_source
    WHERE text <> ''
    ON CONFLICT DO NOTHING;
  `);
}

/** The gauge's series again and again, on build after build; and one of ten minutes at 1,000 samples a second. */
async function moreSeries(sql: Tx): Promise<void> {
  await sql.unsafe(`
    CREATE TEMP TABLE more_series AS
    SELECT s.id AS was, pg_temp.other(s.id, 2000 + j) AS id, j, b.id AS build_id
    FROM series s JOIN project p ON p.id = s.project_id, generate_series(1, ${seriesEach}) AS j
    CROSS JOIN LATERAL (
      SELECT id FROM build WHERE project_id = s.project_id ORDER BY id OFFSET j % 8 LIMIT 1
    ) b
    WHERE p.slug LIKE '${model}%' AND p.finished_at IS NULL;
    INSERT INTO series (id, project_id, build_id, protocol_version_id, key, unit, source, recorded_by, recorded_at)
    SELECT m.id, s.project_id, m.build_id, s.protocol_version_id, s.key, s.unit, s.source, s.recorded_by, s.recorded_at
    FROM more_series m JOIN series s ON s.id = m.was;
    INSERT INTO series_block (series_id, number, n, from_t, to_t, low, high, samples)
    SELECT m.id, b.number, b.n, b.from_t, b.to_t, b.low, b.high, b.samples
    FROM more_series m JOIN series_block b ON b.series_id = m.was;
  `);
  const [gauge] = await sql<{ id: string }[]>`
    SELECT s.id FROM series s JOIN project p ON p.id = s.project_id WHERE p.slug = ${model} ORDER BY s.id LIMIT 1
  `;
  const id = randomUUID();
  await sql`
    INSERT INTO series (id, project_id, build_id, protocol_version_id, key, unit, source, recorded_by, recorded_at)
    SELECT ${id}, project_id, build_id, protocol_version_id, key, unit, 'ten minutes at 1 kHz', recorded_by, recorded_at
    FROM series
    WHERE id = ${gauge!.id}
  `;
  const [rate, per] = [1000, blockSize.samples];
  for (let number = 0; number * per < 600 * rate; number++) {
    const t = Array.from({ length: per }, (_, i) => (number * per + i) / rate);
    const block = {
      t: Float64Array.from(t),
      v: Float64Array.from(t, (x) => 34 + 20 * Math.sin(6.28 * x) * Math.sin(x)),
    };
    const row = { seriesId: id, number, ...extentOf(block), samples: packed(block.t, block.v) };
    await sql`INSERT INTO series_block ${sql(row)}`;
  }
}

async function main(): Promise<void> {
  await inTransaction(async (sql) => {
    await sql.unsafe("SET LOCAL session_replication_role = replica");
    await sql.unsafe(functions);
    const [p] = await sql<{ id: string }[]>`SELECT id FROM project WHERE slug = ${model}`;
    await copyProject(sql, p!.id);
    await moreRuns(sql);
    await moreSeries(sql);
    await moreEntries(sql);
    await sql`
      INSERT INTO staff (project_id, person_id, role)
      SELECT p.id, q.id, 'owner' FROM project p, person q WHERE q.admin
      ON CONFLICT DO NOTHING
    `;
    await sql`INSERT INTO kept_build (build_id, project_id) SELECT id, project_id FROM build ON CONFLICT DO NOTHING`;
    await sql`UPDATE kept_build SET stale = true`;
    await sql`INSERT INTO kept_event (event_id, project_id) SELECT id, project_id FROM event ON CONFLICT DO NOTHING`;
    await sql`UPDATE kept_event SET stale = true`;
  });
  await db().unsafe("ANALYZE");
  const projects = await db()<{ id: string }[]>`SELECT id FROM project`;
  await freshen(projects.map((p) => p.id));
  for (const p of projects) await freshenStandings(p.id);
  const [n] = await db()`
    SELECT
      (SELECT count(*)::int FROM project) AS projects, (SELECT count(*)::int FROM team) AS teams,
      (SELECT count(DISTINCT person_id)::int FROM enrolment) AS students, (SELECT count(*)::int FROM run) AS runs,
      (SELECT max(n)::int FROM (SELECT count(*) AS n FROM run GROUP BY project_id) x) AS most,
      (SELECT sum(n)::int FROM series_block) AS samples, (SELECT count(*)::int FROM notebook_entry) AS entries
  `;
  console.log(
    `· A department: ${n!.projects} projects, ${n!.teams} teams, ${n!.students} students, ${n!.runs} runs ` +
      `(up to ${n!.most} in one project), ${n!.samples} samples of series, ` +
      `${n!.entries} entries of notebooks`,
  );
}

main()
  .catch((error) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(closeDb);
