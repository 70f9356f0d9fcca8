import type * as row from "@/platform/db/rows";
import "server-only";
import { clockIn, clockOf } from "@/core/contest/programme";
import { slotTimes } from "@/core/slots/problem";
import { checkVersion, command, found, refuse, today } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { reviewActs } from "../acts";
import * as s from "../schema-slots";
import { slotDays } from "../view/slots";

/** A review is held on the day of its slot. */
const holdOnItsDay = (sql: Tx, planId: string) => sql`
  UPDATE review r
  SET held_on = s.held_on
  FROM slot s
  WHERE s.review_id = r.id AND s.plan_id = ${planId} AND s.held_on IS NOT NULL AND r.held_on <> s.held_on
`;

/** Keeps a slot plan: everybody's hours as typed, and a place for each team that has one. */
export const saveSlots = command({
  name: "saveSlots",
  act: reviewActs.plan,
  schema: s.saveSlots,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { projectId, title, version, teams, places, ...definition } = input;
    const reviews = await sql<Pick<row.Review, "id">[]>`
      SELECT id FROM review WHERE project_id = ${projectId} AND title = ${title}
    `;
    if (!reviews.length) refuse("There is no review of this name any more.");
    const known = new Set<string>(reviews.map((r) => r.id));
    if ([...places, ...teams].some((p) => !known.has(p.reviewId)))
      refuse("One of the reviews was called off meanwhile. Reload, and plan again.");
    const times = new Set(slotTimes(slotDays(definition)).map((t) => `${t.day} ${t.from}`));
    const names = new Set(definition.reviewers.map((r) => r.name));
    for (const p of places) {
      if (!times.has(`${p.day} ${clockIn(p.from)}`) || p.room >= definition.rooms.length)
        refuse(`${p.day} ${p.from} is none of the plan's times and rooms. Plan again.`);
      const unknown = p.reviewers.find((x) => !names.has(x));
      if (unknown) refuse(`${unknown} is none of the reviewers. Plan again.`);
    }
    const taken = places.map((p) => `${p.day} ${clockIn(p.from)} ${p.room}`);
    if (new Set(taken).size < taken.length) refuse("Two teams have the same time and room. Plan again.");
    const [old] = await sql<Pick<row.SlotPlan, "id" | "version">[]>`
      SELECT id, version FROM slot_plan WHERE project_id = ${projectId} AND title = ${title} FOR UPDATE
    `;
    const id = old?.id ?? newId();
    const kept = sql.json(definition as never);
    if (old) {
      checkVersion(old, version, { title: "Slots" }, { title }, { title: `${title}, planned anew meanwhile` });
      const [running] = await sql`SELECT FROM slot WHERE plan_id = ${id} AND began_at IS NOT NULL LIMIT 1`;
      if (running) refuse("The reviews have begun: move single teams instead.");
      await sql`UPDATE slot_plan SET definition = ${kept}, version = version + 1 WHERE id = ${id}`;
      await sql`DELETE FROM slot WHERE plan_id = ${id}`;
    } else
      await sql`
        INSERT INTO slot_plan (id, project_id, title, definition, created_by)
        VALUES (${id}, ${projectId}, ${title}, ${kept}, ${by})
      `;
    await sql`
      INSERT INTO slot ${sql(
        reviews.map((r) => {
          const place = places.find((p) => p.reviewId === r.id);
          return {
            id: newId(),
            planId: id,
            reviewId: r.id,
            hours: teams.find((t) => t.reviewId === r.id)?.hours ?? [],
            heldOn: place?.day ?? null,
            starts: place ? clockIn(place.from) : null,
            room: place?.room ?? null,
            reviewers: place?.reviewers ?? [],
          };
        }),
      )}
    `;
    await holdOnItsDay(sql, id);
    audit({
      type: "slot plan",
      id,
      label: title,
      after: { teams: places.length, reviewers: definition.reviewers.length },
    });
    return { id };
  },
});

const ofSlot = async (sql: Tx, id: string) => {
  const [x] = await sql<Pick<row.SlotPlan, "projectId">[]>`
    SELECT p.project_id FROM slot s JOIN slot_plan p ON p.id = s.plan_id WHERE s.id = ${id}
  `;
  return x ? { project: x.projectId } : null;
};

type Slot = Pick<row.Slot, "id" | "planId" | "heldOn" | "starts" | "room" | "version" | "beganAt" | "endedAt"> & {
  team: string;
  definition: s.SlotDefinition;
};

async function slotFor(sql: Tx, id: string, version: number): Promise<Slot> {
  const [x] = await sql<Slot[]>`
    SELECT
      s.id, s.plan_id, s.held_on, s.starts, s.room, s.version, s.began_at, s.ended_at, p.definition, t.name AS team
    FROM slot s
    JOIN slot_plan p ON p.id = s.plan_id
    JOIN review r ON r.id = s.review_id
    JOIN team t ON t.id = r.team_id
    WHERE s.id = ${id} FOR UPDATE OF p, s
  `;
  const slot = found(x, "This slot");
  checkVersion(slot, version, { place: "Place" }, {}, { place: placeText(slot) });
  return slot;
}

const placeText = ({ heldOn, starts, room, definition }: Slot) =>
  heldOn === null ? "none" : `${heldOn} ${clockOf(starts!)} ${definition.rooms[room!] ?? ""}`.trim();

/** Moves a team to another place; a team that has it takes the place of the first. Reviewers stay where they are. */
export const moveSlot = command({
  name: "moveSlot",
  act: reviewActs.plan,
  schema: s.moveSlot,
  subject: (sql, i) => ofSlot(sql, i.id),
  async run({ sql, audit }, input): Promise<{ swapped: string | null }> {
    const slot = await slotFor(sql, input.id, input.version);
    if (slot.beganAt) refuse(`${slot.team} has begun, and stays where it is.`);
    const starts = clockIn(input.from)!;
    if (!slotTimes(slotDays(slot.definition)).some((t) => t.day === input.day && t.from === starts))
      refuse(`${input.from} is none of the plan's times.`, "from");
    if (input.room >= slot.definition.rooms.length) refuse("The plan has no such room.", "room");
    const [other] = await sql<Pick<Slot, "id" | "beganAt" | "team">[]>`
      SELECT s.id, s.began_at, t.name AS team
      FROM slot s
      JOIN review r ON r.id = s.review_id
      JOIN team t ON t.id = r.team_id
      WHERE s.plan_id = ${slot.planId} AND s.held_on = ${input.day} AND s.starts = ${starts} AND s.room = ${input.room}
        AND s.id <> ${slot.id}
    `;
    if (other?.beganAt) refuse(`${other.team} has begun there. Choose another place.`);
    if (other)
      await sql`
        UPDATE slot x
        SET held_on = y.held_on, starts = y.starts, room = y.room, reviewers = y.reviewers, version = x.version + 1
        FROM slot y
        WHERE (x.id = ${slot.id} AND y.id = ${other.id}) OR (x.id = ${other.id} AND y.id = ${slot.id})
      `;
    else
      await sql`
        UPDATE slot
        SET held_on = ${input.day}, starts = ${starts}, room = ${input.room}, version = version + 1
        WHERE id = ${slot.id}
      `;
    await holdOnItsDay(sql, slot.planId);
    audit({
      type: "slot plan",
      id: slot.planId,
      label: slot.team,
      before: { place: placeText(slot) },
      after: {
        place: placeText({ ...slot, heldOn: input.day, starts, room: input.room }),
        ...(other ? { changedWith: other.team } : {}),
      },
    });
    return { swapped: other?.team ?? null };
  },
});

/** Says by hand who sees a team. */
export const setPanel = command({
  name: "setPanel",
  act: reviewActs.plan,
  schema: s.setPanel,
  subject: (sql, i) => ofSlot(sql, i.id),
  async run({ sql, audit }, input) {
    const slot = await slotFor(sql, input.id, input.version);
    if (slot.heldOn === null) refuse("The team has no place yet.");
    const unknown = input.reviewers.find((x) => !slot.definition.reviewers.some((r) => r.name === x));
    if (unknown) refuse(`${unknown} is none of the plan's reviewers.`, "reviewers");
    await sql`UPDATE slot SET reviewers = ${input.reviewers}, version = version + 1 WHERE id = ${slot.id}`;
    audit({ type: "slot plan", id: slot.planId, label: slot.team, after: { reviewers: input.reviewers.join(", ") } });
  },
});

/** A review begins, ends, or was begun or ended too soon: the clock on the day. */
export const runSlot = command({
  name: "runSlot",
  act: reviewActs.plan,
  schema: s.runSlot,
  subject: (sql, i) => ofSlot(sql, i.id),
  async run({ sql, audit }, input) {
    const slot = await slotFor(sql, input.id, input.version);
    const state: "over" | "on" | "to come" = slot.endedAt ? "over" : slot.beganAt ? "on" : "to come";
    const wants = { begin: ["to come"], end: ["on"], back: ["on", "over"] }[input.step];
    if (!wants.includes(state)) refuse(`${slot.team} is ${state} already.`);
    if (input.step === "begin") {
      if (slot.heldOn === null) refuse("The team has no place yet.");
      if (slot.heldOn !== today())
        refuse(`${slot.team} has its place on ${slot.heldOn}, not today. Move the team to a time of today first.`);
      const [busy] = await sql<{ team: string }[]>`
        SELECT t.name AS team
        FROM slot s
        JOIN review r ON r.id = s.review_id
        JOIN team t ON t.id = r.team_id
        WHERE s.plan_id = ${slot.planId} AND s.held_on = ${slot.heldOn} AND s.room = ${slot.room}
          AND s.began_at IS NOT NULL AND s.ended_at IS NULL
      `;
      if (busy) refuse(`${busy.team} is on in this room. End that review first.`);
    }
    await sql`
      UPDATE slot
      SET ${
        input.step === "begin"
          ? sql`began_at = app_now()`
          : input.step === "end"
            ? sql`ended_at = app_now()`
            : slot.endedAt
              ? sql`ended_at = NULL`
              : sql`began_at = NULL`
      }, version = version + 1
      WHERE id = ${slot.id}
    `;
    audit({ type: "slot plan", id: slot.planId, label: slot.team, after: { [input.step]: true } });
  },
});

/** A slot plan is taken out with its places; the reviews stay, on the days that they were given. */
export const withdrawSlots = withdrawal({
  name: "withdrawSlots",
  kind: "slot plan",
  table: "slot_plan",
  act: reviewActs.plan,
  label: "x.title",
});
