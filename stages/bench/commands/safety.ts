import type * as row from "@/platform/db/rows";
import "server-only";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { command, found, refuse, today } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { runActs } from "../acts";
import * as s from "../schema";

/** Says that it is safe to begin: each caution of the protocol ticked, for a team or for all, once a day. */
export const checkSafety = command({
  name: "checkSafety",
  act: runActs.record,
  schema: s.safetyCheck,
  subject: (_, i) => ({ project: i.projectId, team: i.teamId || undefined }),
  async run({ sql, audit, by }, input) {
    const [protocol] = await sql<{ name: row.Protocol["name"]; definition: ProtocolDefinition }[]>`
      SELECT p.name, v.definition
      FROM protocol p
      JOIN LATERAL (SELECT * FROM protocol_version WHERE protocol_id = p.id ORDER BY number DESC LIMIT 1) v ON true
      WHERE p.id = ${input.protocolId} AND p.project_id = ${input.projectId}
    `;
    const { name, definition } = found(protocol, "This protocol");
    if (!definition.safety.length) refuse(`${name} has no cautions to tick.`);
    const left = definition.safety.find((x) => !input.cautions.includes(x));
    if (left) refuse(`Not ticked yet: ${left} If the page shows other cautions, reload it: they were changed.`);
    const teams = await sql<{ id: row.Team["id"]; name: row.Team["name"] }[]>`
      SELECT id, name
      FROM team
      WHERE project_id = ${input.projectId} AND retired_at IS NULL
        ${input.teamId ? sql`AND id = ${input.teamId}` : sql``}
      ORDER BY id
    `;
    if (!teams.length) refuse("There is no team to begin.");
    await sql`
      INSERT INTO safety_check ${sql(
        teams.map((t) => ({
          id: newId(),
          projectId: input.projectId,
          protocolId: input.protocolId,
          teamId: t.id,
          onDate: today(),
          cautions: [...definition.safety],
          checkedBy: by,
        })),
      )}
      ON CONFLICT (protocol_id, team_id, on_date) DO UPDATE
      SET cautions = excluded.cautions, checked_by = excluded.checked_by, checked_at = excluded.checked_at
      WHERE NOT safety_check.cautions @> excluded.cautions
    `;
    audit({
      type: "protocol",
      id: input.protocolId,
      label: `${name}: safety check of ${input.teamId ? teams[0]!.name : "all teams"}`,
      after: { on: today(), cautions: definition.safety },
    });
  },
});
