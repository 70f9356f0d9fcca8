import "server-only";
import { refuse } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { contestActs } from "./acts";
import { ofEntry, ofInspection, ofMatch } from "./queries/whose";

const confirmed = "The result of this event is confirmed. Reopen it first.";

/** An event goes with its entries and attempts. */
export const withdrawEvent = withdrawal({
  name: "withdrawEvent",
  kind: "event",
  table: "event",
  act: contestActs.edit,
  label: "x.name",
  async refuse(sql, id) {
    if ((await sql`SELECT FROM event WHERE id = ${id} AND state = 'confirmed'`).length) refuse(confirmed);
  },
  needsReason: true,
});

/** A team withdraws from an event: its entry goes with its attempts. */
export const withdrawEntry = withdrawal({
  name: "withdrawEntry",
  kind: "entry",
  table: "entry",
  act: contestActs.edit,
  subject: ofEntry,
  label: "(SELECT name FROM team WHERE id = x.team_id) || ' in ' || (SELECT name FROM event WHERE id = x.event_id)",
  async refuse(sql, id) {
    if ((await sql`SELECT FROM match_result WHERE ${id} IN (a_id, b_id)`).length)
      refuse(
        "Its matches are on record. Record its next match as one that the other won by walkover or disqualification.",
      );
    if (
      (await sql`SELECT FROM entry n JOIN event e ON e.id = n.event_id WHERE n.id = ${id} AND e.state = 'confirmed'`)
        .length
    )
      refuse(confirmed);
  },
  needsReason: true,
});

/** What was recorded of a match is taken out: it is to be played, or what was recorded of it before counts again. */
export const withdrawMatch = withdrawal({
  name: "withdrawMatch",
  kind: "match",
  table: "match_result",
  act: contestActs.edit,
  subject: ofMatch,
  label:
    "(SELECT name FROM event WHERE id = x.event_id) || ': ' || " +
    "(SELECT t.name FROM entry n JOIN team t ON t.id = n.team_id WHERE n.id = x.a_id) || ' and ' || " +
    "(SELECT t.name FROM entry n JOIN team t ON t.id = n.team_id WHERE n.id = x.b_id)",
  async refuse(sql, id) {
    if (
      (
        await sql`
          SELECT FROM match_result m JOIN event e ON e.id = m.event_id WHERE m.id = ${id} AND e.state = 'confirmed'
        `
      ).length
    )
      refuse(confirmed);
  },
  needsReason: true,
});

/** An inspection that was entered for the wrong build goes: what was decided of the build before counts again. */
export const withdrawInspection = withdrawal({
  name: "withdrawInspection",
  kind: "inspection",
  table: "inspection",
  act: contestActs.edit,
  subject: ofInspection,
  label:
    "(SELECT t.name || ' G' || b.number FROM build b JOIN team t ON t.id = b.team_id WHERE b.id = x.build_id) || " +
    "', inspection ' || x.number",
  async refuse(sql, id) {
    const [later] = await sql`
      SELECT FROM inspection i JOIN inspection n ON n.build_id = i.build_id AND n.number > i.number WHERE i.id = ${id}
    `;
    if (later) refuse("It was inspected again since: only the last inspection of a build can be taken out.");
  },
  needsReason: true,
});

/** A part is not allowed by count any more. */
export const withdrawAllowedPart = withdrawal({
  name: "withdrawAllowedPart",
  kind: "allowed part",
  table: "allowed_part",
  act: contestActs.edit,
  label: "x.name",
});

/** The crowd's vote goes with every vote that was cast in it. */
export const withdrawBallot = withdrawal({
  name: "withdrawBallot",
  kind: "vote",
  table: "ballot",
  act: contestActs.edit,
  label: "'The vote for the favourite of the crowd'",
});

/** A board is not used any more; a screen that shows it falls back to what runs. */
export const withdrawBoard = withdrawal({
  name: "withdrawBoard",
  kind: "board",
  table: "board",
  act: contestActs.edit,
  label: "x.name",
});
