import type * as row from "@/platform/db/rows";
import "server-only";
import { planQueue as plan } from "@/core/shop/queue";
import { trained, trainingState } from "@/core/shop/training";
import { checkVersion, command, found, projectOf, refuse, teamOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { calendarsIn } from "@/platform/project/calendars";
import { settingsOf } from "@/platform/project/settings";
import { bookingActs } from "../acts";
import { type Booking, bookingById, bookingsOf } from "../queries/bookings";
import { checksOn } from "../queries/safety";
import { toolsOf } from "../queries/tools";
import * as s from "../schema";
import { lacksOf, lackWords } from "../view/bookings";
import { placeOf, shopTimes } from "../view/times";

interface Asked {
  readonly what: string;
  readonly material: string;
  readonly once: boolean;
  readonly minutes: number;
  readonly needBy: string;
  readonly operatorId?: string;
  readonly pieceId?: string;
}

const labels = {
  what: "What for",
  material: "Material",
  once: "Cut once only",
  minutes: "Minutes",
  needBy: "Needed by",
  operatorId: "At the machine",
  pieceId: "Piece",
};

const lockBooking = async (sql: Tx, id: string): Promise<Booking> => {
  await sql`SELECT FROM booking WHERE id = ${id} FOR UPDATE`;
  return found(await bookingById(id, sql), "This booking");
};

/** What was asked, with its people and pieces looked up; refuses who is not trained where the project does. */
async function checked(sql: Tx, at: { project: string; team: string; toolId: string }, i: Asked, today: string) {
  const tool = found(
    (await toolsOf(at.project, sql)).find((t) => t.id === at.toolId),
    "This machine",
  );
  if (!tool.shared) refuse(`${tool.name} is not shared: use it as the adult in the room says.`);
  const [piece] = i.pieceId
    ? await sql<{ once: boolean }[]>`
        SELECT p.one_chance AS once
        FROM piece p
        JOIN build b ON b.id = p.build_id
        WHERE p.id = ${i.pieceId} AND b.team_id = ${at.team}
      `
    : [];
  if (i.pieceId) found(piece, "The piece of this team");
  if (i.operatorId) {
    const [member] = await sql<{ name: row.Person["name"] }[]>`
      SELECT p.name
      FROM membership m
      JOIN person p ON p.id = m.person_id
      WHERE m.team_id = ${at.team} AND m.person_id = ${i.operatorId} AND m.to_on IS NULL
    `;
    const { name } = found(member, "The person in this team");
    const { trainingStrictness } = await settingsOf(at.project, sql);
    const day = i.needBy > today ? i.needBy : today;
    const state = trainingState(
      tool.signed.find((x) => x.personId === i.operatorId),
      day,
    );
    if (trainingStrictness === "block" && !trained(state))
      refuse(
        state === "over"
          ? `${name}'s training for ${tool.name} is over by then. Let it be renewed first: ${trainersOf(tool)}.`
          : `${name} is not trained for ${tool.name}. Name somebody who is, or be trained first: ${trainersOf(tool)}.`,
        "operatorId",
      );
  }
  const { what, material, minutes, needBy } = i;
  const once = i.once || (piece?.once ?? false);
  return { what, material, once, minutes, needBy, operatorId: i.operatorId ?? null, pieceId: i.pieceId ?? null };
}

const trainersOf = (tool: { trainers: string }) => tool.trainers || "ask your instructor who may train";

/** Asks for time at a shared machine: it waits in the queue until it gets a time. */
export const askBooking = command({
  name: "askBooking",
  act: bookingActs.ask,
  schema: s.booking,
  async subject(sql, i) {
    const [at] = await sql<{ projectId: row.Team["projectId"] }[]>`
      SELECT t.project_id
      FROM team t
      JOIN tool m ON m.project_id = t.project_id
      WHERE t.id = ${i.teamId} AND m.id = ${i.toolId}
    `;
    return at ? { project: at.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const { project } = (await projectOf(sql, "tool", input.toolId))!;
    if (input.needBy < today) refuse("This day is over. Name the day by which you need it.", "needBy");
    const values = await checked(sql, { project, team: input.teamId, toolId: input.toolId }, input, today);
    await sql`
      INSERT INTO booking ${sql({
        ...values,
        id: input.id,
        projectId: project,
        toolId: input.toolId,
        teamId: input.teamId,
        askedBy: by,
      })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "booking", id: input.id, label: input.what, after: values });
    return { id: input.id };
  },
});

/** Corrects what a time at a machine is for; a longer one that no longer fits waits again. */
export const editBooking = command({
  name: "editBooking",
  act: bookingActs.ask,
  schema: s.editBooking,
  subject: (sql, i) => teamOf(sql, "booking", i.id),
  async run({ sql, audit, today }, input): Promise<{ waits: boolean }> {
    const old = await lockBooking(sql, input.id);
    if (old.startedAt) refuse("This time has begun: write at its end what came of it.");
    checkVersion(old, input.version, labels, input, { ...old });
    const at = { project: old.projectId, team: old.teamId, toolId: old.toolId };
    const values = await checked(sql, at, input, today);
    const { sessionMinutes } = await settingsOf(old.projectId, sql);
    const within = old.starts === null || old.starts + values.minutes <= sessionMinutes;
    const fits = old.onDate === null || (within && !(await taken(sql, old, values.minutes, old)));
    const place = fits ? {} : { sectionId: null, onDate: null, period: null, starts: null };
    await sql`UPDATE booking SET ${sql({ ...values, ...place })}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "booking", id: input.id, label: input.what, before: old, after: { ...values, ...place } });
    return { waits: !fits };
  },
});

/** Whether somebody else has the machine in the minutes from a place on. */
async function taken(
  sql: Tx,
  b: Booking,
  minutes: number,
  place: Pick<row.Booking, "sectionId" | "onDate" | "period" | "starts">,
): Promise<boolean> {
  const [other] = await sql`
    SELECT
    FROM booking
    WHERE tool_id = ${b.toolId} AND id <> ${b.id} AND section_id = ${place.sectionId} AND on_date = ${place.onDate}
      AND period = ${place.period} AND starts < ${place.starts! + minutes} AND starts + minutes > ${place.starts}
  `;
  return other !== undefined;
}

/** The sessions of a project from a day to its end, and how long one is. */
async function timesFrom(sql: Tx, projectId: string, day: string) {
  const [calendar, settings] = await Promise.all([calendarsIn([projectId], sql), settingsOf(projectId, sql)]);
  const p = calendar.get(projectId)!;
  return { times: shopTimes(p.of, settings.sessionMinutes, day, p.endsOn), first: p.sections[0]?.id ?? null };
}

/** Gives a booking its time, another one, or none: then it waits again. */
export const placeBooking = command({
  name: "placeBooking",
  act: bookingActs.place,
  schema: s.placeBooking,
  subject: (sql, i) => projectOf(sql, "booking", i.id),
  async run({ sql, audit, today }, input) {
    const old = await lockBooking(sql, input.id);
    if (old.startedAt) refuse("This time has begun. What came of it is written at its end.");
    checkVersion(old, input.version, { starts: "Begins at minute" }, input, { ...old });
    let place: Pick<row.Booking, "sectionId" | "onDate" | "period" | "starts"> = {
      sectionId: null,
      onDate: null,
      period: null,
      starts: null,
    };
    if (input.time) {
      const { times } = await timesFrom(sql, old.projectId, today);
      const t = times.find((x) => x.key === input.time);
      if (!t) refuse("This is no session to come. Choose one of the list.", "time");
      place = {
        sectionId: t!.section as row.Booking["sectionId"],
        onDate: t!.date,
        period: t!.period,
        starts: input.starts,
      };
      if (input.starts + old.minutes > t!.minutes)
        refuse(`A session has ${t!.minutes} minutes; this would end after ${input.starts + old.minutes}.`, "starts");
      if (await taken(sql, old, old.minutes, place))
        refuse("Somebody else has the machine then. Choose another minute or session.", "starts");
    }
    await sql`UPDATE booking SET ${sql(place)}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "booking", id: input.id, label: old.what, before: old, after: place });
  },
});

/** Gives all who wait for a machine their time, by the day on which they need it. */
export const planQueue = command({
  name: "planQueue",
  act: bookingActs.place,
  schema: s.planQueue,
  subject: (sql, i) => projectOf(sql, "tool", i.toolId),
  async run({ sql, audit, today }, input): Promise<{ placed: number; late: number; without: number }> {
    const { project } = (await projectOf(sql, "tool", input.toolId))!;
    const { times, first } = await timesFrom(sql, project, today);
    const last = times.at(-1)?.date ?? today;
    const all = await bookingsOf(input.toolId, today, last, sql);
    const waiting = all.filter((b) => b.onDate === null);
    const answer = plan(
      times,
      all.filter((b) => b.onDate !== null).map((b) => ({ key: placeOf(b), starts: b.starts!, minutes: b.minutes })),
      waiting.map((b) => ({
        id: b.id,
        section: b.home ?? first ?? "",
        minutes: b.minutes,
        needBy: b.needBy,
        askedAt: b.askedAt,
      })),
    );
    for (const p of answer.places) {
      const t = times.find((x) => x.key === p.key)!;
      await sql`
        UPDATE booking
        SET section_id = ${t.section}, on_date = ${t.date}, period = ${t.period}, starts = ${p.starts},
          version = version + 1
        WHERE id = ${p.id}
      `;
    }
    const label = `${answer.places.length} of ${waiting.length} who waited`;
    audit({ type: "booking", id: input.toolId, label, after: answer.places });
    return {
      placed: answer.places.length,
      late: answer.places.filter((p) => p.late).length,
      without: answer.without.length,
    };
  },
});

/** Begins a time at a machine, once what a careful shop asks for is seen to. */
export const startBooking = command({
  name: "startBooking",
  act: bookingActs.ask,
  schema: s.startBooking,
  subject: (sql, i) => teamOf(sql, "booking", i.id),
  async run({ sql, audit, by, today, actor }, input) {
    const old = await lockBooking(sql, input.id);
    if (old.startedAt) refuse("This time has begun already.");
    const [tools, checks, settings, busy] = await Promise.all([
      toolsOf(old.projectId, sql),
      checksOn(old.projectId, today, sql),
      settingsOf(old.projectId, sql),
      sql<{ what: string; team: string }[]>`
        SELECT b.what, t.name AS team
        FROM booking b
        JOIN team t ON t.id = b.team_id
        WHERE b.tool_id = ${old.toolId} AND b.started_at IS NOT NULL AND b.ended_at IS NULL
      `,
    ]);
    if (busy[0]) refuse(`${busy[0].team} is at the machine (${busy[0].what}). Let them end first.`);
    const tool = tools.find((t) => t.id === old.toolId)!;
    const student = actor.kind === "person" && actor.projects[old.projectId]?.role === "student";
    const lacks = lacksOf(old, tool, checks, today, !student);
    // An instructor who stands beside it may begin where the project only warns; nobody else may.
    if (lacks.length && (student || settings.trainingStrictness === "block"))
      refuse(lacks.map((l) => lackWords(l, tool, old)).join(" "));
    await sql`
      UPDATE booking SET started_at = app_now(), started_by = ${by}, version = version + 1 WHERE id = ${input.id}
    `;
    audit({ type: "booking", id: input.id, label: `${tool.name}: ${old.what} began`, after: { lacks } });
  },
});

/** Ends a time at a machine with how long it took and what came of it; or corrects that. */
export const endBooking = command({
  name: "endBooking",
  act: bookingActs.ask,
  schema: s.endBooking,
  subject: (sql, i) => teamOf(sql, "booking", i.id),
  async run({ sql, audit }, input) {
    const old = await lockBooking(sql, input.id);
    if (!old.startedAt) refuse("This time has not begun yet.");
    const words = { used: "Minutes used", outcome: "What came of it", seen: "What was seen" };
    checkVersion(old, input.version, words, input, { ...old, used: old.usedMinutes });
    await sql`
      UPDATE booking
      SET used_minutes = ${input.used}, outcome = ${input.outcome}, seen = ${input.seen},
        ended_at = coalesce(ended_at, app_now()), version = version + 1
      WHERE id = ${input.id}
    `;
    const after = { used: input.used, outcome: input.outcome, seen: input.seen };
    audit({ type: "booking", id: input.id, label: old.what, before: old.endedAt ? old : undefined, after });
  },
});
