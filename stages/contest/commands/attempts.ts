import type * as row from "@/platform/db/rows";
import "server-only";
import type { EventDefinition } from "@/core/contest/standings";
import { type ProtocolDefinition, readingsFor } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { checkReadings, readTyped } from "@/platform/evidence/readings";
import { contestActs } from "../acts";
import { overLimits } from "../queries/attempts";
import { ofEntry } from "../queries/whose";
import * as s from "../schema";

export const inspectEntry = command({
  name: "inspectEntry",
  act: contestActs.score,
  schema: s.inspection,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit }, input) {
    const [n] = await sql<
      {
        version: row.Entry["version"];
        inspection: row.Entry["inspection"];
        note: row.Entry["inspectionNote"];
        team: row.Team["name"];
        state: row.Event["state"];
        buildId: row.Entry["buildId"];
        projectId: row.Event["projectId"];
      }[]
    >`
      SELECT n.version, n.inspection, n.inspection_note AS note, t.name AS team, e.state, n.build_id, e.project_id
      FROM entry n
      JOIN team t ON t.id = n.team_id
      JOIN event e ON e.id = n.event_id
      WHERE n.id = ${input.entryId} FOR UPDATE OF n
    `;
    const entry = found(n, "This entry");
    checkVersion(entry, input.version, { outcome: "Inspection", note: "Note" }, input, {
      outcome: entry.inspection,
      note: entry.note,
    });
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (input.outcome === "passed" && !entry.buildId) refuse(`${entry.team} has no build to inspect.`);
    const over = input.outcome === "passed" ? await overLimits(entry.projectId, entry.buildId!) : [];
    // A waiver needs its reason, which stands on the record.
    if (over.length && !input.note)
      refuse(
        `${entry.team}'s build does not keep ${over.map((c) => `${c.label} (${c.code})`).join(", ")}. ` +
          "Turn it away, or write why it may start all the same.",
        "note",
      );
    await sql`
      UPDATE entry
      SET
        inspection = ${input.outcome}, inspection_note = ${input.note},
        inspected_at = ${input.outcome === "passed" ? sql`app_now()` : null}, version = version + 1
      WHERE id = ${input.entryId}
    `;
    audit({
      type: "inspection",
      id: input.entryId,
      label: `${entry.team}: ${input.outcome}`,
      before: { inspection: entry.inspection },
      after: { inspection: input.outcome, ...(over.length ? { waived: over.map((c) => c.code) } : {}) },
      reason: input.note,
    });
  },
});

/** Scores one attempt. The attempt's id is made by the scorer's device: a retry has the effect of one. */
export const scoreAttempt = command({
  name: "scoreAttempt",
  together: true,
  act: contestActs.score,
  schema: s.attempt,
  subject: (sql, i) => ofEntry(sql, i.entryId),
  async run({ sql, audit, by }, input): Promise<{ attempt: number }> {
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
      { attempt: row.Run["attempt"]; entryId: NonNullable<row.Run["entryId"]> }[]
    >`SELECT attempt, entry_id FROM run WHERE id = ${input.id}`;
    if (known) {
      if (known.entryId !== input.entryId) refuse("This attempt was already scored for another team.");
      audit({ type: "attempt", id: input.id, label: "sent again" });
      return { attempt: known.attempt };
    }
    if (entry.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
    if (entry.inspection !== "passed")
      refuse(
        entry.inspection === "waiting"
          ? `${entry.team} has not passed inspection yet.`
          : `${entry.team} was turned away at inspection.`,
      );
    const [last] = await sql<{ n: number; live: number }[]>`
      SELECT coalesce(max(attempt), 0)::int AS n, count(*) FILTER (WHERE state <> 'void')::int AS live
      FROM run
      WHERE entry_id = ${input.entryId}
    `;
    if (last!.live >= entry.definition.policy.n)
      refuse(`${entry.team} has had all ${entry.definition.policy.n} attempts.`);
    const needed = readingsFor(entry.protocol, entry.definition.channel);
    const rows = readTyped(
      entry.protocol,
      input.id,
      input.state === "valid" ? input.readings : {},
      {},
      input.state === "valid" ? needed : null,
    );
    for (const r of rows)
      if (Number(r.value) < 0) refuse("A measured value cannot be below zero here.", `readings.${r.key}`);
    if (input.state === "valid") checkReadings(entry.protocol, rows, [entry.definition.channel], input.sure);
    const attempt = last!.n + 1;
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
        state: input.state,
        reason: input.reason || null,
        recordedBy: by,
      })}
    `;
    if (rows.length) await sql`INSERT INTO reading ${sql(rows)}`;
    if (entry.state === "set up")
      await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${entry.eventId}`;
    audit({
      type: "attempt",
      id: input.id,
      label: `${entry.name}, ${entry.team}, attempt ${attempt}`,
      after: { state: input.state, readings: input.readings },
    });
    return { attempt };
  },
});

/** Sets a contest attempt aside with a reason, so that it can be scored again; the standings follow by themselves. */
export const voidAttempt = command({
  name: "voidAttempt",
  act: contestActs.score,
  schema: s.voidAttempt,
  async subject(sql, i) {
    const [r] = await sql<
      { projectId: row.Run["projectId"] }[]
    >`SELECT project_id FROM run WHERE id = ${i.id} AND place = 'contest'`;
    return r ? { project: r.projectId } : null;
  },
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
