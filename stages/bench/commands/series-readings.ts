import "server-only";
import { found, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { seriesOf, takenOf } from "../queries/series";

/** The readings that an attempt takes from series of the same build and protocol, locked until it is saved. */
export async function readSeries(
  sql: Tx,
  ids: readonly string[],
  { buildId, versionId, pilot }: { buildId: string; versionId: string; pilot: boolean },
) {
  const taken: { key: string; si: string }[] = [];
  // In one order for everybody: two attempts that want the same series wait for each other and never both ways.
  for (const id of [...new Set(ids)].sort()) {
    await sql`SELECT FROM series WHERE id = ${id} FOR UPDATE`;
    const [any] = await seriesOf({ id }, sql);
    const series = found(any?.buildId === buildId && any.protocolVersionId === versionId ? any : null, "This series");
    if (series.runId) refuse("An attempt was taken from this series already.", "seriesIds");
    if (series.simulated && !pilot)
      refuse(
        "A simulated instrument tries a protocol out: what it gives is a pilot run, and never counts.",
        "seriesIds",
      );
    const { si, working } = await takenOf(series, sql);
    if (si === null) refuse(`Nothing can be taken from this series: ${working.warnings.join(" ")}`, "seriesIds");
    if (taken.some((x) => x.key === series.key))
      refuse("Two of these series give the same reading: choose one of them.", "seriesIds");
    taken.push({ key: series.key, si });
  }
  return taken;
}
