import "server-only";
import { unzipSync } from "fflate";
import { type Table, travels } from "../registry/table";
import { schemaVersion } from "./version";

export class BundleError extends Error {}

export const encode = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value, null, 1)}\n`);

export type Row = Record<string, unknown>;

export interface Opened {
  manifest: { kind: string; schemaVersion: number; title?: string; counts: Record<string, number> };
  read(path: string): Uint8Array | undefined;
  /** A table's rows as the text that came in. */
  text(table: string): string;
  /** The same, read; numbers lose digits. */
  rows<T = Row>(table: string): T[];
}

/** What a bundle may unfold to: no project and no school comes near it. */
export const mostUnfolded = { bytes: 1_500_000_000, parts: 50_000 };

/**
 * Opens a bundle and checks that it is whole and of a known version; says what is wrong otherwise. What it would unfold
 * to is counted before anything is.
 */
export function openBundle(
  tables: readonly Table[],
  bytes: Uint8Array,
  kind: "project" | "backup",
  most = mostUnfolded,
): Opened {
  let parts: Record<string, Uint8Array>;
  const seen = { bytes: 0, parts: 0 };
  try {
    parts = unzipSync(bytes, {
      filter: (part) => {
        seen.bytes += part.originalSize;
        if (seen.bytes > most.bytes || ++seen.parts > most.parts)
          throw new BundleError(
            "The file unfolds to more than any school has written: it is not taken in. Export it again.",
          );
        return true;
      },
    });
  } catch (error) {
    if (error instanceof BundleError) throw error;
    throw new BundleError(
      "The file is not a whole zip: it was cut short, or it is something else. Export it again and send " +
        "the whole file.",
    );
  }
  const json = (path: string) => {
    if (!parts[path])
      throw new BundleError(
        `The bundle holds no ${path}: this is not an Ironstone bundle, or a part of it is missing.`,
      );
    try {
      return JSON.parse(new TextDecoder().decode(parts[path]));
    } catch {
      throw new BundleError(`${path} in the bundle cannot be read.`);
    }
  };
  const manifest = json("manifest.json");
  if (manifest.format !== "ironstone") throw new BundleError("This zip is not an Ironstone bundle.");
  if (manifest.schemaVersion > schemaVersion)
    throw new BundleError(
      `The bundle is of a newer version (${manifest.schemaVersion}); this Ironstone reads up to ` +
        `${schemaVersion}. Update Ironstone, then import it.`,
    );
  if (manifest.kind !== kind)
    throw new BundleError(
      kind === "project"
        ? "This is a backup of a whole school. Use restore for it."
        : "This is the bundle of one project. Use import for it.",
    );
  for (const t of tables.filter((x) => kind === "backup" || travels(x))) {
    // A bundle of an earlier version lacks the tables that came later.
    if (manifest.schemaVersion < schemaVersion && !parts[`tables/${t.name}.json`]) {
      parts[`tables/${t.name}.json`] = encode([]);
      manifest.counts[t.name] = 0;
    }
    const rows = json(`tables/${t.name}.json`);
    if (!Array.isArray(rows) || rows.length !== manifest.counts?.[t.name])
      throw new BundleError(
        `${t.name} holds ${Array.isArray(rows) ? rows.length : "no"} rows, but the manifest says ` +
          `${manifest.counts?.[t.name]}: the bundle is not whole.`,
      );
  }
  const text = (table: string) => new TextDecoder().decode(parts[`tables/${table}.json`]);
  return { manifest, read: (path) => parts[path], text, rows: (table) => JSON.parse(text(table)) };
}

export function asBundleError(error: unknown): unknown {
  const e = error as { code?: string; message: string; table_name?: string };
  if (error instanceof BundleError || !e.code || !/^(22|23)/.test(e.code)) return error;
  return new BundleError(
    `The bundle does not hold together (${e.table_name ? `${e.table_name}: ` : ""}${e.message}). Nothing was imported.`,
  );
}
