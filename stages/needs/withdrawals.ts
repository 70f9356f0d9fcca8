import type * as row from "@/platform/db/rows";
import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { findingActs, needsActs, noteActs, statementActs } from "./acts";

/** A source goes with its notes; statements made from them stay. */
export const withdrawSource = withdrawal({
  name: "withdrawSource",
  kind: "source",
  table: "source",
  act: needsActs.edit,
  label: "x.title",
  needsReason: true,
});

export const withdrawNote = withdrawal({
  name: "withdrawNote",
  kind: "note",
  table: "note",
  act: noteActs.amend,
  async subject(sql, id) {
    const [n] = await sql<
      { projectId: row.Note["projectId"]; authorId: row.Note["authorId"] }[]
    >`SELECT project_id, author_id FROM note WHERE id = ${id}`;
    return n ? { project: n.projectId, person: n.authorId ?? "" } : null;
  },
  label: "left(x.text, 80)",
});

export const withdrawStatement = withdrawal({
  name: "withdrawStatement",
  kind: "statement",
  table: "statement",
  act: statementActs.edit,
  label: "left(x.text, 80)",
});

export const withdrawChange = withdrawal({
  name: "withdrawChange",
  kind: "change request",
  table: "change_request",
  act: needsActs.edit,
  label: "left(x.what, 80)",
  needsReason: true,
});

/** What somebody found by looking; what was measured stays with its run or build. */
export const withdrawFinding = withdrawal({
  name: "withdrawFinding",
  kind: "finding",
  table: "evidence",
  act: findingActs.record,
  async subject(sql, id) {
    const [e] = await sql<
      { projectId: row.Evidence["projectId"] }[]
    >`SELECT project_id FROM evidence WHERE id = ${id} AND kind = 'finding'`;
    return e ? { project: e.projectId } : null;
  },
  label:
    "(SELECT code FROM requirement WHERE id = x.requirement_id) || ': ' || x.finding || ' for ' || " +
    "(SELECT t.name || ' G' || b.number FROM build b JOIN team t ON t.id = b.team_id WHERE b.id = x.build_id)",
});
