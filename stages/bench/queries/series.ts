import type * as row from "@/platform/db/rows";
import "server-only";
import type { Measure, ProtocolDefinition } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { takenSi, takingOf } from "@/core/series/measure";
import { type Silence, silences } from "@/core/series/silence";
import { type Bucket, type Taken, takeFrom, thinned } from "@/core/series/take";
import type { Working } from "@/core/working/working";
import { toCsv } from "@/platform/csv/csv";
import { db, type Tx } from "@/platform/db/db";
import { type Block, joinedBlocks, unpacked } from "../view/samples";

export interface Series {
  id: row.Series["id"];
  projectId: row.Series["projectId"];
  buildId: row.Series["buildId"];
  teamId: row.Build["teamId"];
  build: string;
  protocolId: row.Protocol["id"];
  protocol: row.Protocol["name"];
  protocolVersionId: row.Series["protocolVersionId"];
  definition: ProtocolDefinition;
  key: row.Series["key"];
  unit: row.Series["unit"];
  source: row.Series["source"];
  capture: row.Series["capture"];
  simulated: row.Series["simulated"];
  runId: row.Series["runId"];
  attempt: row.Run["attempt"] | null;
  place: row.Run["place"] | null;
  fromT: row.Series["fromT"];
  toT: row.Series["toT"];
  reason: row.Series["reason"];
  by: row.Series["recordedBy"];
  at: row.Series["recordedAt"];
  version: row.Series["version"];
  samples: number;
  /** Seconds from the first sample to the last. */
  starts: number | null;
  ends: number | null;
}

/** The series of a build under a protocol, of one capture, or one by its id; the newest first. */
export const seriesOf = (
  which: { id: string } | { capture: string } | { buildId: string; protocolId: string },
  sql: Tx = db(),
) =>
  sql<Series[]>`
    SELECT
      s.id, s.project_id, s.build_id, b.team_id, t.name || ' G' || b.number AS build, p.id AS protocol_id,
      p.name AS protocol, s.protocol_version_id, v.definition, s.key, s.unit, s.source, s.capture, s.simulated,
      s.run_id, r.attempt, r.place, s.from_t, s.to_t, s.reason, s.recorded_by AS by, s.recorded_at AS at, s.version,
      coalesce(k.samples, 0)::int AS samples,
      k.starts, k.ends
    FROM series s
    JOIN build b ON b.id = s.build_id
    JOIN team t ON t.id = b.team_id
    JOIN protocol_version v ON v.id = s.protocol_version_id
    JOIN protocol p ON p.id = v.protocol_id
    LEFT JOIN run r ON r.id = s.run_id
    LEFT JOIN LATERAL (
      SELECT sum(n) AS samples, min(from_t) AS starts, max(to_t) AS ends
      FROM series_block
      WHERE series_id = s.id
    ) k ON true
    WHERE ${
      "id" in which
        ? sql`s.id = ${which.id}`
        : "capture" in which
          ? sql`s.capture = ${which.capture}`
          : sql`s.build_id = ${which.buildId} AND p.id = ${which.protocolId}`
    }
    ORDER BY s.id DESC
  `;

/** The samples of a series, whole or where its blocks touch a part. */
export async function samplesOf(seriesId: string, part?: { from: number; to: number }, sql: Tx = db()): Promise<Block> {
  const blocks = await sql<{ samples: string }[]>`
    SELECT samples
    FROM series_block
    WHERE series_id = ${seriesId} ${part ? sql`AND to_t >= ${part.from} AND from_t <= ${part.to}` : sql``}
    ORDER BY number
  `;
  return joinedBlocks(blocks.flatMap((b) => unpacked(b.samples) ?? []));
}

/** How many points a curve is drawn with. */
const drawn = 600;

/**
 * A curve as it is drawn: what lies in the part, thinned to its extremes. Where many blocks lie in it their extents do,
 * and no sample is read.
 */
export async function curveOf(seriesId: string, part: { from: number; to: number }): Promise<Bucket[]> {
  const sql = db();
  const extents = await sql<{ fromT: number; low: number; high: number }[]>`
    SELECT from_t, low, high
    FROM series_block
    WHERE series_id = ${seriesId} AND to_t >= ${part.from} AND from_t <= ${part.to}
    ORDER BY number
  `;
  if (extents.length >= drawn / 4) return extents.map((b) => ({ t: b.fromT, low: b.low, high: b.high }));
  const { t, v } = await samplesOf(seriesId, part);
  let [first, end] = [0, t.length];
  while (first < end && t[first]! < part.from) first++;
  while (end > first && t[end - 1]! > part.to) end--;
  return thinned({ t: t.subarray(first, end), v: v.subarray(first, end) }, drawn);
}

/** The reading that a series is for. */
export const measureOf = (series: Series): Measure => series.definition.measures.find((m) => m.key === series.key)!;

/** What a protocol's rule takes from a series now, with its working, as it is stored, and where nothing came. */
export async function takenOf(
  series: Series,
  sql: Tx = db(),
): Promise<{ value: Taken | null; working: Working; si: string | null; silent: Silence[] }> {
  // A series is opened for nothing else, and its version of the protocol stays as it was.
  const take = measureOf(series).take!;
  const part = series.fromT === null ? undefined : { from: series.fromT, to: series.toT! };
  const samples = await samplesOf(series.id, part, sql);
  const { value, working } = takeFrom(takingOf(take), samples, series.unit, part);
  return { value, working, si: value ? takenSi(take, value.value) : null, silent: silences(samples.t) };
}

/** Every sample of a series as CSV, its headings with their units. */
export async function seriesCsv(series: Series): Promise<string> {
  const { t, v } = await samplesOf(series.id);
  const lines = new Array<string>(t.length);
  for (let i = 0; i < t.length; i++) lines[i] = `${t[i]},${v[i]}`;
  const heads = toCsv([["Time (s)", headed({ name: measureOf(series).name, unit: series.unit })]]);
  return `${heads}${lines.join("\r\n")}\r\n`;
}
