import type * as row from "@/platform/db/rows";
import "server-only";
import { refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { conceptActs } from "./acts";
import { ofConcept } from "./queries/whose";

/** A concept that a decision was made on stays; its authors may take back one that is still open. */
async function undecided(sql: Tx, id: string): Promise<void> {
  const [k] = await sql<{ fate: row.Concept["fate"] }[]>`SELECT fate FROM concept WHERE id = ${id}`;
  if (k && k.fate !== "open")
    refuse("This concept was decided on, and the decision stands in the record. Open it again first.");
  const [s] = await sql<{ title: row.Selection["title"] }[]>`
    SELECT title FROM selection WHERE ${id}::uuid = ANY(concepts) ORDER BY created_at LIMIT 1
  `;
  if (s) refuse(`This concept stands in the choice “${s.title}”. Set it aside there instead.`);
}

export const withdrawConcept = withdrawal({
  name: "withdrawConcept",
  kind: "concept",
  table: "concept",
  act: conceptActs.edit,
  subject: ofConcept,
  label: "x.title",
  refuse: undecided,
  needsReason: true,
});

export const removeSketch = withdrawal({
  name: "removeSketch",
  kind: "sketch",
  table: "file_use",
  act: conceptActs.edit,
  async subject(sql, id) {
    const [u] = await sql<
      { conceptId: row.FileUse["conceptId"] }[]
    >`SELECT concept_id FROM file_use WHERE id = ${id} AND concept_id IS NOT NULL`;
    return u?.conceptId ? ofConcept(sql, u.conceptId) : null;
  },
  async refuse(sql, id) {
    const [k] = await sql<
      { fate: row.Concept["fate"] }[]
    >`SELECT fate FROM concept WHERE id = (SELECT concept_id FROM file_use WHERE id = ${id})`;
    if (k && k.fate !== "open") refuse("This concept was decided on; its sketches stay with it.");
  },
  label:
    "(SELECT title FROM concept WHERE id = x.concept_id) || CASE x.caption WHEN '' THEN '' ELSE ': ' || x.caption END",
});

/** A choice goes with the sheets that were handed in for it; what it decided on the concepts stays. */
export const withdrawSelection = withdrawal({
  name: "withdrawSelection",
  kind: "choice between concepts",
  table: "selection",
  act: conceptActs.decide,
  label: "x.title",
  async refuse(sql, id) {
    if ((await sql`SELECT FROM selection WHERE id = ${id} AND closed_at IS NOT NULL`).length)
      refuse("This choice is closed, and concepts go on by it. Open it again first.");
  },
  needsReason: true,
});
