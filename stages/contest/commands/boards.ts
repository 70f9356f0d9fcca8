import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import * as s from "../schema";

/** Sets up a board, or changes its name and its light. */
export const saveBoard = command({
  name: "saveBoard",
  act: contestActs.edit,
  schema: s.board,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    let { id } = input;
    const { name, light } = input;
    if (id) {
      const [old] = await sql<row.Board[]>`
        SELECT * FROM board WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(old, "This board"), input.version, { name: "Name" }, input, { ...old! });
      await sql`UPDATE board SET name = ${name}, light = ${light}, version = version + 1 WHERE id = ${id}`;
      audit({ type: "board", id, label: name, before: { name: old!.name, light: old!.light }, after: { name, light } });
    } else {
      id = newId();
      await sql`INSERT INTO board ${sql({ id, projectId: input.projectId, name, light })}`;
      audit({ type: "board", id, label: name, after: { name, light } });
    }
    return { id };
  },
});

async function lockBoard(sql: Tx, id: string): Promise<row.Board> {
  const [b] = await sql<row.Board[]>`SELECT * FROM board WHERE id = ${id} FOR UPDATE`;
  return found(b, "This board");
}

/** Says what a board shows from now on: the last press counts. */
export const showOnBoard = command({
  name: "showOnBoard",
  act: contestActs.edit,
  schema: s.showOnBoard,
  subject: (sql, i) => projectOf(sql, "board", i.id),
  async run({ sql, audit }, input) {
    const board = await lockBoard(sql, input.id);
    const { shows, words } = input;
    const eventId = input.eventId ?? null;
    if (shows === "event" && !eventId) refuse("Choose the event.", "eventId");
    if (eventId)
      found(
        (await sql`SELECT FROM event WHERE id = ${eventId} AND project_id = ${board.projectId}`)[0],
        "This event of the contest",
      );
    await sql`
      UPDATE board SET shows = ${shows!}, event_id = ${eventId}, words = ${words} WHERE id = ${input.id}
    `;
    audit({
      type: "board",
      id: input.id,
      label: `${board.name}: ${shows}`,
      before: { shows: board.shows, event: board.eventId },
      after: { shows, event: eventId, words },
    });
  },
});

/** Reveals so many awards on a board, the last of the list first. */
export const revealAward = command({
  name: "revealAward",
  act: contestActs.edit,
  schema: s.reveal,
  subject: (sql, i) => projectOf(sql, "board", i.id),
  async run({ sql, audit }, input) {
    const board = await lockBoard(sql, input.id);
    await sql`UPDATE board SET shows = 'awards', revealed = ${input.count} WHERE id = ${input.id}`;
    audit({
      type: "board",
      id: input.id,
      label: `${board.name}: ${input.count} awards revealed`,
      before: { revealed: board.revealed },
      after: { revealed: input.count },
    });
  },
});
