import type * as row from "@/platform/db/rows";
import "server-only";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { runActs } from "../acts";
import { seriesOf, takenOf } from "../queries/series";
import * as s from "../schema";
import { extentOf, unpacked, wrongBlock } from "../view/samples";
import { ofBuild, ofSeries } from "./subjects";

/** Begins a series of samples for a reading that a protocol takes from one. */
export const openSeries = command({
  name: "openSeries",
  together: true,
  act: runActs.record,
  schema: s.series,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const [known] = await sql`SELECT FROM series WHERE id = ${input.id} AND build_id = ${input.buildId}`;
    if (known) {
      audit({ type: "series", id: input.id, label: "sent again" });
      return { id: input.id };
    }
    const [v] = await sql<
      { projectId: row.Protocol["projectId"]; name: row.Protocol["name"]; definition: ProtocolDefinition }[]
    >`
      SELECT p.project_id, p.name, v.definition
      FROM protocol_version v
      JOIN protocol p ON p.id = v.protocol_id
      WHERE v.id = ${input.protocolVersionId}
        AND p.project_id = (SELECT project_id FROM build WHERE id = ${input.buildId})
    `;
    const protocol = found(v, "This protocol");
    const measure = protocol.definition.measures.find((m) => m.key === input.key);
    if (!measure?.take) refuse(`${protocol.name} takes nothing from a series there. Its protocol says what is.`, "key");
    await sql`
      INSERT INTO series ${sql({
        id: input.id,
        projectId: protocol.projectId,
        buildId: input.buildId,
        protocolVersionId: input.protocolVersionId,
        key: input.key,
        unit: measure.take.unit,
        source: input.source,
        capture: input.capture ?? null,
        simulated: input.simulated,
        recordedBy: by,
      })}
    `;
    audit({
      type: "series",
      id: input.id,
      label: `${protocol.name}: ${measure.name}`,
      after: { source: input.source },
    });
    return { id: input.id };
  },
});

/** Adds blocks of samples behind those that are there; one that is there already is passed over. */
export const addBlocks = command({
  name: "addBlocks",
  together: true,
  act: runActs.record,
  schema: s.seriesBlocks,
  subject: (sql, i) => ofSeries(sql, i.seriesId),
  async run({ sql, audit }, input): Promise<{ samples: number }> {
    const [series] = await sql<{ runId: string | null }[]>`
      SELECT run_id FROM series WHERE id = ${input.seriesId} FOR UPDATE
    `;
    const there = await sql<{ number: number; toT: number }[]>`
      SELECT number, to_t FROM series_block WHERE series_id = ${input.seriesId} ORDER BY number
    `;
    let [next, after] = [(there.at(-1)?.number ?? -1) + 1, there.at(-1)?.toT ?? Number.NEGATIVE_INFINITY];
    const rows = [];
    for (const b of [...input.blocks].sort((x, y) => x.number - y.number)) {
      if (b.number < next) continue;
      if (b.number > next) refuse(`Block ${next} of the series is missing: send from there on.`);
      const block = unpacked(b.samples);
      const wrong = wrongBlock(block, after);
      if (wrong) refuse(wrong);
      const extent = extentOf(block!);
      if (extent.n > s.blockSize.samples) refuse(`A block has at most ${s.blockSize.samples} samples.`);
      rows.push({ seriesId: input.seriesId, number: b.number, ...extent, samples: b.samples });
      [next, after] = [b.number + 1, extent.toT];
    }
    if (rows.length && found(series, "This series").runId)
      refuse("An attempt was taken from this series already: nothing is added to it any more.");
    if (rows.length) await sql`INSERT INTO series_block ${sql(rows)}`;
    const samples = rows.reduce((n, r) => n + r.n, 0);
    audit({ type: "series", id: input.seriesId, label: `${samples} samples` });
    return { samples };
  },
});

/** Chooses the part of a series that counts, with a reason; the reading that was taken from it follows. */
export const chooseSeriesPart = command({
  name: "chooseSeriesPart",
  act: runActs.record,
  schema: s.seriesPart,
  subject: (sql, i) => ofSeries(sql, i.id),
  async run({ sql, audit }, input) {
    const [old] = await sql<
      { version: number; runId: string | null; key: string; fromT: number | null; toT: number | null }[]
    >`SELECT version, run_id, key, from_t, to_t FROM series WHERE id = ${input.id} FOR UPDATE`;
    const series = found(old, "This series");
    checkVersion(series, input.version, { reason: "Reason" }, input, { reason: "(another part was chosen)" });
    const part = input.from === undefined ? { fromT: null, toT: null } : { fromT: input.from, toT: input.to! };
    await sql`
      UPDATE series SET ${sql({ ...part, reason: input.reason })}, version = version + 1 WHERE id = ${input.id}
    `;
    const [chosen] = await seriesOf({ id: input.id }, sql);
    const taken = await takenOf(chosen!, sql);
    if (!taken.value) refuse(taken.working.warnings.join(" "), "from");
    if (series.runId) {
      await sql`
        UPDATE reading
        SET value = ${taken.si!}
        WHERE run_id = ${series.runId} AND key = ${series.key} AND role = 'measure'
      `;
      await sql`UPDATE run SET version = version + 1 WHERE id = ${series.runId}`;
    }
    audit({
      type: "series",
      id: input.id,
      label: "part that counts",
      before: { from: series.fromT, to: series.toT },
      after: { from: part.fromT, to: part.toT },
      reason: input.reason,
    });
  },
});
