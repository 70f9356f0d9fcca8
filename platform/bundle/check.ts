import "server-only";
import postgres from "postgres";
import { inDatabase, newId } from "@/platform/db/db";
import { migrate } from "@/platform/db/migrate";
import type { Table } from "../registry/table";
import { restoreSchool } from "./bundle";
import { BundleError } from "./open";
import { backupSchool } from "./pack";

export type Checked = { ok: true } | { ok: false; message: string };

/**
 * Restores a backup into an empty database beside this one, backs that up again and compares: the same file, or the
 * backup is no good. The database is dropped afterwards.
 */
export async function checkBackup(tables: readonly Table[], bytes: Uint8Array): Promise<Checked> {
  const url = new URL(process.env.DATABASE_URL!);
  const name = `ironstone_check_${newId().replaceAll("-", "")}`;
  const root = postgres(url.toString(), { max: 1, onnotice: () => {} });
  try {
    await root.unsafe(`CREATE DATABASE ${name}`);
  } catch (error) {
    await root.end();
    return { ok: false, message: `It was not checked: no second database can be made (${(error as Error).message}).` };
  }
  try {
    const scratch = new URL(url);
    scratch.pathname = `/${name}`;
    await migrate(scratch.toString());
    const again = await inDatabase(scratch.toString(), async () => {
      await restoreSchool(tables, bytes);
      return backupSchool(tables);
    });
    return Buffer.from(again).equals(Buffer.from(bytes))
      ? { ok: true }
      : { ok: false, message: "Restored elsewhere and backed up again, it is not the same: keep an older backup too." };
  } catch (error) {
    if (error instanceof BundleError) return { ok: false, message: `It cannot be restored: ${error.message}` };
    throw error;
  } finally {
    await root.unsafe(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
    await root.end();
  }
}
