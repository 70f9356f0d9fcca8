import "server-only";
import { db } from "@/platform/db/db";

/** How many bench runs a protocol has, and how many of them are not comparable. */
export async function runCounts(protocolId: string): Promise<{ runs: number; apart: number }> {
  const [row] = await db()<{ runs: number; apart: number }[]>`
    SELECT
      count(*)::int AS runs,
      count(*) FILTER (
        WHERE NOT EXISTS (SELECT FROM run_value x WHERE x.run_id = r.id AND x.comparable)
      )::int AS apart
    FROM run r
    JOIN protocol_version v ON v.id = r.protocol_version_id
    WHERE v.protocol_id = ${protocolId} AND r.place = 'bench'
  `;
  return row ?? { runs: 0, apart: 0 };
}
