import type * as row from "@/platform/db/rows";
import "server-only";
import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { protocolActs } from "../acts";
import { leanedOn } from "../queries/runs";
import * as s from "../schema";

/** A protocol; while no run leans on its version it is edited in place, afterwards a new version is made. */
export const saveProtocol = command({
  name: "saveProtocol",
  act: protocolActs.edit,
  schema: s.protocol,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; number: number }> {
    const definition = input.definition as unknown as ProtocolDefinition;
    const problems = checkProtocol(definition);
    if (problems.length) refuse(problems.join(" "));
    if (!input.id) {
      const id = newId();
      await sql`INSERT INTO protocol (id, project_id, name) VALUES (${id}, ${input.projectId}, ${input.name})`;
      await sql`
        INSERT INTO protocol_version (id, protocol_id, number, definition, created_by)
        VALUES (${newId()}, ${id}, 1, ${sql.json(definition as never)}, ${by})
      `;
      audit({ type: "protocol", id, label: `${input.name} v1`, after: definition });
      return { id, number: 1 };
    }
    const [p] = await sql<
      { version: row.Protocol["version"]; name: row.Protocol["name"] }[]
    >`SELECT version, name FROM protocol WHERE id = ${input.id} AND project_id = ${input.projectId} FOR UPDATE`;
    checkVersion(found(p, "This protocol"), input.version, { name: "Name" }, input, p!);
    const [v] = await sql<
      { id: row.ProtocolVersion["id"]; number: row.ProtocolVersion["number"]; definition: object; used: boolean }[]
    >`
      SELECT
        id, number, definition, ${leanedOn(sql)} AS used
      FROM protocol_version v
      WHERE protocol_id = ${input.id}
      ORDER BY number DESC
      LIMIT 1
    `;
    let number = v!.number;
    if (v!.used && JSON.stringify(sorted(v!.definition)) !== JSON.stringify(sorted(definition))) {
      if (!input.whatChanged)
        refuse("Runs lean on this version, so a new one is made: say what changed and why.", "whatChanged");
      number++;
      await sql`
        INSERT INTO protocol_version (id, protocol_id, number, definition, what_changed, created_by)
        VALUES (${newId()}, ${input.id}, ${number}, ${sql.json(definition as never)}, ${input.whatChanged}, ${by})
      `;
    } else if (!v!.used)
      await sql`UPDATE protocol_version SET definition = ${sql.json(definition as never)} WHERE id = ${v!.id}`;
    await sql`UPDATE protocol SET name = ${input.name}, version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "protocol",
      id: input.id,
      label: `${input.name} v${number}`,
      before: v!.definition,
      after: definition,
      reason: input.whatChanged,
    });
    return { id: input.id, number };
  },
});

/** A value with its objects' keys in order, for comparing definitions as data. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value && typeof value === "object")
    return Object.fromEntries(
      Object.entries(value)
        .filter(([, v]) => v !== undefined && v !== "" && !(Array.isArray(v) && v.length === 0))
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([k, v]) => [k, sorted(v)]),
    );
  return value;
}
