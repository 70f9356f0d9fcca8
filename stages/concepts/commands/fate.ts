import "server-only";
import { newId, type Tx } from "@/platform/db/db";
import type { Concept } from "../queries/concepts";

/** Writes a concept's fate with its reason; every decision stays on record. */
export async function setFate(
  sql: Tx,
  concept: { id: string; projectId: string },
  fate: Concept["fate"],
  reason: string,
  by: string,
  /** The choice that decided it. */
  selectionId: string | null = null,
): Promise<void> {
  await sql`
    UPDATE concept
    SET fate = ${fate}, fate_reason = ${reason}, fate_by = ${by}, version = version + 1
    WHERE id = ${concept.id}
  `;
  await sql`
    INSERT INTO concept_fate ${sql({
      id: newId(),
      projectId: concept.projectId,
      conceptId: concept.id,
      fate,
      reason,
      decidedBy: by,
      selectionId,
    })}
  `;
}
