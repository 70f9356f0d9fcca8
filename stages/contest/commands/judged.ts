import type { JudgedRules } from "@/core/contest/judged";
import type * as row from "@/platform/db/rows";
import "server-only";
import { linesOf } from "@/core/text/lines";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { contestActs } from "../acts";
import { ofEntry, ofSheet } from "../queries/whose";
import { placePointsIn } from "../schema";
import * as s from "../schema-judged";
import { enterTeams } from "./events";
import { refuseUnsafe } from "./safety";

const confirmed = "The result is confirmed. Reopen the event first.";

/** Sets up an event that judges mark; every team enters. Once a sheet is in, the rules are fixed. */
export const saveJudgedEvent = command({
  name: "saveJudgedEvent",
  act: contestActs.edit,
  schema: s.judgedEvent,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const names = input.criteria.map((c) => c.name.toLowerCase());
    const twice = names.findIndex((n, i) => names.indexOf(n) !== i);
    if (twice >= 0) refuse("This criterion is there already.", `criteria.${twice}.name`);
    const taken = new Set(input.criteria.map((c) => c.key));
    let next = 1;
    const fresh = () => {
      while (taken.has(`c${next}`)) next++;
      taken.add(`c${next}`);
      return `c${next}`;
    };
    const definition: JudgedRules = {
      criteria: input.criteria.map((c) => ({ key: c.key || fresh(), name: c.name, weight: c.weight! })),
      most: input.most,
      method: input.method!,
      tie: input.tie!,
      full: input.full ?? "",
      placePoints: placePointsIn(input.placePoints ?? ""),
    };
    let { id } = input;
    if (id) {
      const [e] = await sql<{ version: number; name: string; marked: boolean }[]>`
        SELECT
          version, name,
          EXISTS (SELECT FROM judge_sheet s JOIN entry n ON n.id = s.entry_id WHERE n.event_id = e.id) AS marked
        FROM event e
        WHERE id = ${id} AND project_id = ${input.projectId} AND format = 'judged' FOR UPDATE
      `;
      checkVersion(found(e, "This event"), input.version, { name: "Name" }, input, e!);
      if (e!.marked)
        refuse("Sheets are in: the rules of this event are fixed. Make another event if they must change.");
      await sql`
        UPDATE event
        SET
          name = ${input.name}, definition = ${sql.json(definition as never)},
          cautions = ${linesOf(input.cautions ?? "")}, officer = ${input.officer}, copied = false,
          version = version + 1
        WHERE id = ${id}
      `;
    } else {
      id = newId();
      await sql`
        INSERT INTO event (id, project_id, name, format, definition, cautions, officer)
        VALUES (
          ${id}, ${input.projectId}, ${input.name}, 'judged', ${sql.json(definition as never)},
          ${linesOf(input.cautions ?? "")}, ${input.officer}
        )
      `;
    }
    await enterTeams(sql, input.projectId, id);
    audit({ type: "event", id, label: input.name, after: definition });
    return { id };
  },
});

/** The marks of a sheet, checked against the event's criteria; says which is missing or outside. */
function marksIn({ criteria, most }: JudgedRules, typed: Record<string, string>): Record<string, number> {
  return Object.fromEntries(
    criteria.map((c) => {
      const text = (typed[c.key] ?? "").trim();
      if (!text) refuse(`${c.name} is not marked yet.`, `marks.${c.key}`);
      const mark = Number(text);
      if (!Number.isInteger(mark) || mark < 0 || mark > most)
        refuse(`${c.name}: a mark is a whole number from 0 to ${most}.`, `marks.${c.key}`);
      return [c.key, mark];
    }),
  );
}

/**
 * A judge's sheet of an entry, or that the judge steps back from it. Each judge has one; it is corrected until the
 * result is confirmed.
 */
export const markSheet = command({
  name: "markSheet",
  together: true,
  act: contestActs.inspect,
  schema: s.judgeSheet,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, actor, audit, by }, input): Promise<{ version: number }> {
    const [n] = await sql<
      {
        eventId: row.Entry["eventId"];
        name: row.Event["name"];
        state: row.Event["state"];
        format: row.Event["format"];
        team: row.Team["name"];
        rules: JudgedRules;
      }[]
    >`
      SELECT n.event_id, e.name, e.state, e.format, t.name AS team, e.definition AS rules
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      WHERE n.id = ${input.entryId} FOR UPDATE OF n, e
    `;
    const entry = found(n, "This entry");
    if (entry.format !== "judged") refuse(`${entry.name} is not judged on sheets.`);
    if (entry.state === "confirmed") refuse(confirmed);
    await refuseUnsafe(sql, entry.eventId);
    const marks = input.stepped ? {} : marksIn(entry.rules, input.marks);
    const state = input.stepped ? "stepped" : "marked";
    const [old] = await sql<Pick<row.JudgeSheet, "id" | "state" | "marks" | "note" | "reason" | "version">[]>`
      SELECT id, state, marks, note, reason, version
      FROM judge_sheet
      WHERE entry_id = ${input.entryId} AND judge_id = ${actor.id}
    `;
    if (old?.state === "aside") refuse(`Your sheet of ${entry.team} was set aside: ${old.reason}`);
    if ((old?.version ?? 0) !== input.after)
      refuse(
        old
          ? `You have marked ${entry.team} on another page or device. Load this page again to see those marks.`
          : `Your sheet of ${entry.team} was taken out. Load this page again.`,
        "after",
      );
    const version = input.after + 1;
    if (old)
      await sql`
        UPDATE judge_sheet
        SET
          state = ${state}, marks = ${sql.json(marks)}, note = ${input.note}, judge = ${by},
          recorded_at = app_now(), version = ${version}
        WHERE id = ${old.id}
      `;
    else
      await sql`
        INSERT INTO judge_sheet ${sql({
          id: input.id,
          entryId: input.entryId,
          judgeId: actor.id,
          judge: by,
          state,
          marks: sql.json(marks),
          note: input.note,
        })}
      `;
    if (entry.state === "set up")
      await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${entry.eventId}`;
    audit({
      type: "sheet",
      id: old?.id ?? input.id,
      label: `${entry.name}, ${entry.team}: ${input.stepped ? "steps back" : "marked"}`,
      before: old && { state: old.state, marks: old.marks, note: old.note },
      after: { state, marks, note: input.note },
    });
    return { version };
  },
});

/** A sheet does not count, with the reason; or it counts again. */
export const asideSheet = command({
  name: "asideSheet",
  act: contestActs.edit,
  schema: s.asideSheet,
  subject: (sql, i) => ofSheet(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<
      (Pick<row.JudgeSheet, "version" | "state" | "asideFrom" | "judge"> & {
        team: row.Team["name"];
        event: row.Event["state"];
      })[]
    >`
      SELECT s.version, s.state, s.aside_from, s.judge, t.name AS team, e.state AS event
      FROM judge_sheet s
      JOIN entry n ON n.id = s.entry_id
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      WHERE s.id = ${input.id} FOR UPDATE OF s
    `;
    const sheet = found(x, "This sheet");
    checkVersion(sheet, input.version, { state: "State" }, {}, sheet);
    if (sheet.event === "confirmed") refuse(confirmed);
    if ((sheet.state === "aside") === input.aside)
      refuse(input.aside ? "This sheet is set aside already." : "This sheet counts already.");
    const to = input.aside ? "aside" : sheet.asideFrom!;
    await sql`
      UPDATE judge_sheet
      SET
        state = ${to}, aside_from = ${input.aside ? sheet.state : null}, reason = ${input.reason},
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "sheet",
      id: input.id,
      label: `Sheet of ${sheet.judge} for ${sheet.team}: ${input.aside ? "set aside" : "counts again"}`,
      before: { state: sheet.state },
      after: { state: to },
      reason: input.reason,
    });
  },
});
