import type { EventFormat } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";

/** An event of the edition before, and what hinders its copy. */
export interface ToCopy {
  readonly id: row.Event["id"];
  readonly name: row.Event["name"];
  readonly format: EventFormat;
  readonly edition: row.Project["title"];
  /** The protocol that it is measured under; null where nothing is measured. */
  readonly protocol: string | null;
  /** The newest version of the protocol of the same name here. */
  readonly protocolVersionId: row.ProtocolVersion["id"] | null;
  /** An event of this name is here already, or its protocol is not; null where it can be copied. */
  readonly hinders: "name" | "protocol" | null;
}

/** The events of the edition right before a project, with what hinders their copies. */
export const toCopy = (projectId: string, sql: Tx = db()) => sql<ToCopy[]>`
  SELECT
    e.id, e.name, e.format, b.title AS edition, o.name AS protocol, h.id AS protocol_version_id,
    CASE
      WHEN EXISTS (SELECT FROM event x WHERE x.project_id = p.id AND x.name = e.name) THEN 'name'
      WHEN o.name IS NOT NULL AND h.id IS NULL THEN 'protocol'
    END AS hinders
  FROM project p
  JOIN project b ON b.id = p.edition_of
  JOIN event e ON e.project_id = b.id
  LEFT JOIN protocol_version v ON v.id = e.protocol_version_id
  LEFT JOIN protocol o ON o.id = v.protocol_id
  LEFT JOIN LATERAL (
    SELECT hv.id
    FROM protocol hp
    JOIN protocol_version hv ON hv.protocol_id = hp.id
    WHERE hp.project_id = p.id AND hp.name = o.name
    ORDER BY hv.number DESC
    LIMIT 1
  ) h ON true
  WHERE p.id = ${projectId}
  ORDER BY e.id
`;
