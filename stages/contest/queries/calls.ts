import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export type OpenCall = Pick<row.HallCall, "id" | "words" | "calledBy" | "calledAt">;

/** Who is called in the hall now. */
export const openCall = async (projectId: string): Promise<OpenCall | null> =>
  (
    await db()<OpenCall[]>`
      SELECT id, words, called_by, called_at FROM hall_call WHERE project_id = ${projectId} AND ended_at IS NULL
    `
  )[0] ?? null;
