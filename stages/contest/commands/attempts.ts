import type * as row from "@/platform/db/rows";
import "server-only";
import type { EventDefinition } from "@/core/contest/standings";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { ofContestRun, ofEntry } from "../queries/whose";
import * as s from "../schema";
import { chargedRows, measuredRows } from "./measured";
import { refuseUnsafe } from "./safety";

/** Scores one attempt. The attempt's id is made by the scorer's device: a retry has the effect of one. */
export const scoreAttempt = command({
  name: "scoreAttempt",
  together: true,
  act: contestActs.score,
  schema: s.attempt,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit, by }, input): Promise<{ attempt: number; twice: "alike" | "differs" | null }> {
    const [n] = await sql<
      {
        eventId: row.Entry["eventId"];
        projectId: row.Event["projectId"];
        name: row.Event["name"];
        state: row.Event["state"];
        team: row.Team["name"];
        buildId: row.Entry["buildId"];
        revision: row.Build["revision"] | null;
        inspection: row.Entry["inspection"];
        protocolVersionId: row.Event["protocolVersionId"];
        definition: EventDefinition;
        protocol: ProtocolDefinition;
      }[]
    >`
      SELECT
        n.event_id, e.project_id, e.name, e.state, t.name AS team, n.build_id, b.revision, n.inspection,
        e.protocol_version_id, e.definition, v.definition AS protocol
      FROM entry n
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      LEFT JOIN build b ON b.id = n.build_id
      JOIN protocol_version v ON v.id = e.protocol_version_id
      WHERE n.id = ${input.entryId} FOR UPDATE OF n, e
    `;
    const entry = found(n, "This entry");
    const [known] = await sql<
      Pick<row.Run, "attempt" | "entryId" | "rivalOf">[]
    >`SELECT attempt, entry_id, rival_of FROM run WHERE id = ${input.id}`;
    if (known) {
      if (known.entryId !== input.entryId) refuse("This attempt was already scored for another team.");
      audit({ type: "attempt", id: input.id, label: "sent again" });
      return { attempt: known.attempt, twice: known.rivalOf ? "differs" : null };
    }
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    await refuseUnsafe(sql, entry.eventId);
    if (entry.inspection !== "passed")
      refuse(
        entry.inspection === "waiting"
          ? `${entry.team} has not passed inspection yet.`
          : `${entry.team} was turned away at inspection.`,
      );
    const made = await sql<Made[]>`
      SELECT id, attempt, state FROM run WHERE entry_id = ${input.entryId} ORDER BY attempt, recorded_at
    `;
    const live = made.filter((r) => r.state !== "void");
    // Another person has scored this very attempt: both records are kept, and somebody chooses.
    const rival = input.nth === undefined ? undefined : live[input.nth - 1];
    if (!rival && live.length >= entry.definition.policy.n)
      refuse(`${entry.team} has had all ${entry.definition.policy.n} attempts.`);
    const rows = measuredRows(entry, input);
    const charged = chargedRows(entry, input);
    const twice = rival ? ((await isAlike(sql, rival, { ...input, rows, charged })) ? "alike" : "differs") : null;
    const attempt = Math.max(0, ...made.map((r) => r.attempt)) + 1;
    await sql`
      INSERT INTO run ${sql({
        id: input.id,
        projectId: entry.projectId,
        buildId: entry.buildId!,
        buildRevision: entry.revision ?? 1,
        protocolVersionId: entry.protocolVersionId,
        attempt,
        place: "contest",
        entryId: input.entryId,
        state: twice ? "void" : input.state,
        voidFrom: twice ? input.state : null,
        rivalOf: twice === "differs" ? rival!.id : null,
        reason: twice ? "Scored by two people." : input.reason || null,
        recordedBy: by,
      })}
    `;
    if (rows.length) await sql`INSERT INTO reading ${sql(rows)}`;
    if (charged.length) await sql`INSERT INTO penalty ${sql(charged)}`;
    if (entry.state === "set up")
      await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${entry.eventId}`;
    audit({
      type: "attempt",
      id: input.id,
      label: `${entry.name}, ${entry.team}, attempt ${attempt}`,
      after: {
        state: input.state,
        readings: input.readings,
        ...(Object.keys(input.seconds).length > 0 && { seconds: input.seconds }),
        ...(charged.length > 0 && { penalties: input.penalties }),
        ...(twice && { twice }),
      },
    });
    return { attempt, twice };
  },
});

interface Made {
  readonly id: row.Run["id"];
  readonly attempt: number;
  readonly state: row.Run["state"];
}

/** Whether two records of an attempt say the same: then there is nothing to choose. */
async function isAlike(
  sql: Tx,
  rival: Made,
  own: {
    state: string;
    rows: readonly { key: string; value: string }[];
    charged: readonly { key: string; count: number }[];
  },
): Promise<boolean> {
  const [readings, penalties] = await Promise.all([
    sql<{ key: string; value: string }[]>`SELECT key, value FROM reading WHERE run_id = ${rival.id}`,
    sql<{ key: string; count: number }[]>`SELECT key, count FROM penalty WHERE run_id = ${rival.id}`,
  ]);
  const same = <T extends { key: string }>(a: readonly T[], b: readonly T[], is: (x: T, y: T) => boolean) =>
    a.length === b.length && a.every((x) => b.some((y) => y.key === x.key && is(x, y)));
  return (
    rival.state === own.state &&
    same(readings, own.rows, (x, y) => Number(x.value) === Number(y.value)) &&
    same(penalties, own.charged, (x, y) => x.count === y.count)
  );
}

/** Sets a contest attempt aside with a reason, so that it can be scored again; the standings follow by themselves. */
export const voidAttempt = command({
  name: "voidAttempt",
  act: contestActs.score,
  schema: s.voidAttempt,
  subject: (sql, i) => ofContestRun(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      {
        version: row.Run["version"];
        state: row.Run["state"];
        attempt: row.Run["attempt"];
        team: row.Team["name"];
        event: row.Event["state"];
      }[]
    >`
      SELECT r.version, r.state, r.attempt, t.name AS team, e.state AS event
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      WHERE r.id = ${input.id} FOR UPDATE OF r
    `;
    checkVersion(found(r, "This attempt"), input.version, { state: "State" }, { state: "void" }, { state: r!.state });
    if (r!.event === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (r!.state === "void") refuse("This attempt is set aside already.");
    const readings = await sql`SELECT key, value, entered FROM reading WHERE run_id = ${input.id}`;
    await sql`
      UPDATE run
      SET state = 'void', void_from = state, reason = ${input.reason}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "attempt",
      id: input.id,
      label: `${r!.team}, attempt ${r!.attempt}`,
      before: { state: r!.state, readings },
      after: { state: "void" },
      reason: input.reason,
    });
  },
});

const otherStands = "Scored by two people: the other record stands.";

/** Says which record stands of an attempt that two people scored; the other one stays on the record, set aside. */
export const settleAttempt = command({
  name: "settleAttempt",
  act: contestActs.score,
  schema: s.settleAttempt,
  subject: (sql, i) => ofContestRun(sql, i.id),
  async run({ sql, audit }, input) {
    const [second] = await sql<
      (Pick<row.Run, "version" | "attempt" | "voidFrom" | "rivalOf" | "entryId"> & {
        team: string;
        event: string;
        n: number;
      })[]
    >`
      SELECT
        r.version, r.attempt, r.void_from, r.rival_of, r.entry_id, t.name AS team, e.state AS event,
        (e.definition->'policy'->>'n')::int AS n
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      JOIN event e ON e.id = n.event_id
      JOIN team t ON t.id = n.team_id
      WHERE r.id = ${input.id} FOR UPDATE OF r, n
    `;
    if (found(second, "This attempt").event === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    const { rivalOf, voidFrom, entryId, team, n } = second!;
    if (!rivalOf || !voidFrom) refuse("Somebody has chosen already.");
    checkVersion(second!, input.version, {}, {}, {});
    const [first] = await sql<Made[]>`SELECT id, attempt, state FROM run WHERE id = ${rivalOf} FOR UPDATE`;
    const live = await sql`SELECT FROM run WHERE entry_id = ${entryId} AND state <> 'void'`;
    const stands = input.keep !== "first";
    const replaces = input.keep === "second" && first!.state !== "void";
    if (stands && !replaces && live.length >= n)
      refuse(`${team} has had all ${n} attempts: only one of them can stand.`);
    if (replaces)
      await sql`
        UPDATE run
        SET
          state = 'void', void_from = state, reason = ${otherStands},
          attempt = ${second!.attempt}, version = version + 1
        WHERE id = ${rivalOf}
      `;
    await sql`
      UPDATE run
      SET ${sql({
        rivalOf: null,
        ...(stands
          ? { state: voidFrom, voidFrom: null, reason: null, ...(replaces && { attempt: first!.attempt }) }
          : { reason: otherStands }),
      })}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "attempt",
      id: input.id,
      label: `${team}, attempt ${first!.attempt}, scored by two people`,
      after: { keep: input.keep, first: rivalOf, second: input.id },
    });
  },
});
