import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { ofBuild } from "./builds";

export type PartRow = row.PartLine;

/** A build's parts list in the order in which it was written. */
export const partsOf = (buildId: string, sql: Tx = db()) =>
  sql<PartRow[]>`SELECT * FROM part_line WHERE build_id = ${buildId} ORDER BY id`;

/** The parts lists of these builds. */
export const partsIn = (buildIds: readonly string[]): PromiseLike<PartRow[]> =>
  buildIds.length
    ? db()<PartRow[]>`SELECT * FROM part_line WHERE build_id IN ${db()(buildIds)} ORDER BY id`
    : Promise.resolve([]);

/** A part's project and team. */
export const ofPart = async (sql: Tx, id: string) => {
  const [p] = await sql<{ buildId: row.PartLine["buildId"] }[]>`SELECT build_id FROM part_line WHERE id = ${id}`;
  return p ? ofBuild(sql, p.buildId) : null;
};
