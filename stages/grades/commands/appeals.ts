import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { gradeActs } from "../acts";
import * as s from "../schema";
import { ownIn } from "./own";

/** A student asks to look at the own published grade again. */
export const fileAppeal = command({
  name: "fileAppeal",
  act: gradeActs.appeal,
  schema: s.fileAppeal,
  subject: (sql, i, actor) => ownIn(sql, "publication", i.publicationId, actor),
  async run({ sql, actor, audit }, input) {
    if (actor.kind !== "person") return refuse("Only a student can ask about the own grade.");
    const [p] = await sql<
      {
        projectId: row.Publication["projectId"];
        number: number;
        line: { components: { key: string; name: string }[] } | null;
      }[]
    >`
      SELECT
        project_id, number,
        jsonb_path_query_first(
          ledger, '$[*] ? (@.personId == $id)', jsonb_build_object('id', ${actor.id}::text)
        ) AS line
      FROM publication
      WHERE id = ${input.publicationId} AND withdrawn_at IS NULL
    `;
    const line = found(p, "This publication").line;
    if (!line) return refuse("This publication does not hold your grade.");
    const part = line.components.find((c) => c.key === input.component);
    if (input.component && !part) refuse("This component is not part of your grade.", "component");
    const open = await sql`
      SELECT FROM appeal WHERE project_id = ${p!.projectId} AND person_id = ${actor.id} AND outcome IS NULL
    `;
    if (open.length) refuse("You have asked already: wait for the answer, it will stand here.");
    await sql`
      INSERT INTO appeal ${sql({
        id: input.id,
        projectId: p!.projectId,
        personId: actor.id,
        publicationId: input.publicationId,
        component: input.component,
        words: input.words,
      })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "appeal", id: input.id, label: part?.name ?? `grade, version ${p!.number}`, after: { asked: true } });
  },
});

/** Answers a student's appeal; an answer can be changed while it stands. */
export const answerAppeal = command({
  name: "answerAppeal",
  act: gradeActs.edit,
  schema: s.answerAppeal,
  subject: (sql, i) => projectOf(sql, "appeal", i.id),
  async run({ sql, audit, by }, input) {
    const [a] = await sql<Pick<row.Appeal, "outcome" | "answer" | "version">[]>`
      SELECT outcome, answer, version FROM appeal WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(a, "This appeal"), input.version, { outcome: "Outcome", answer: "Answer" }, input, a!);
    await sql`
      UPDATE appeal
      SET
        outcome = ${input.outcome}, answer = ${input.answer}, answered_by = ${by}, answered_at = app_now(),
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "appeal",
      id: input.id,
      before: { outcome: a!.outcome, answer: a!.answer },
      after: { outcome: input.outcome, answer: input.answer },
    });
  },
});
