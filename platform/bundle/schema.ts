import { db } from "@/platform/db/db";
import { type Table, travels } from "../registry/table";
import { columnsOf } from "./catalog";
import { schemaVersion } from "./version";

/** The JSON Schema of a project bundle's tables, made from the database itself. */
export async function bundleSchema(all: readonly Table[]): Promise<object> {
  const tables = all.filter(travels);
  const columns = await columnsOf(db());
  const decimal = { type: "string", pattern: "^-?[0-9]+(\\.[0-9]+)?$" };
  const kinds: Record<string, object> = {
    uuid: { type: "string", format: "uuid" },
    text: { type: "string" },
    integer: { type: "integer" },
    "double precision": { type: "number" },
    boolean: { type: "boolean" },
    date: { type: "string", format: "date" },
    "timestamp with time zone": { type: "string", format: "date-time" },
    // Numbers with all their digits, as texts.
    numeric: decimal,
    "numeric[]": { type: "array", items: decimal },
    "text[]": { type: "array", items: { type: "string" } },
    jsonb: {},
  };
  const kindOf = (type: string, nullable: boolean) =>
    nullable && type !== "jsonb" ? { anyOf: [kinds[type] ?? {}, { type: "null" }] } : (kinds[type] ?? {});
  return {
    $schema: "http://json-schema.org/draft-07/schema#",
    title: `Ironstone project bundle, schema version ${schemaVersion}`,
    type: "object",
    required: ["manifest", ...tables.map((t) => t.name)],
    additionalProperties: false,
    properties: {
      manifest: {
        type: "object",
        required: ["format", "schemaVersion", "kind", "counts"],
        properties: {
          format: { const: "ironstone" },
          schemaVersion: { const: schemaVersion },
          kind: { const: "project" },
          project: { type: "string" },
          title: { type: "string" },
          counts: { type: "object", additionalProperties: { type: "integer" } },
        },
      },
      ...Object.fromEntries(
        tables.map((t) => {
          const own = columns.filter((c) => c.table === t.name && !t.omit?.includes(c.column));
          return [
            t.name,
            {
              type: "array",
              items: {
                type: "object",
                additionalProperties: false,
                required: own.map((c) => c.column),
                properties: Object.fromEntries(own.map((c) => [c.column, kindOf(c.type, c.nullable)])),
              },
            },
          ];
        }),
      ),
    },
  };
}
