import "server-only";
import { checkVersion, command, found } from "@/platform/command/command";
import { readPicture, usePicture } from "@/platform/files/files";
import { runActs } from "../acts";
import * as s from "../schema";
import { ofRun } from "./subjects";

/** What was seen at a run, in words; what stood there before is kept in the audit. */
export const noteRun = command({
  name: "noteRun",
  act: runActs.record,
  schema: s.runNote,
  subject: (sql, i) => ofRun(sql, i.id),
  async run({ sql, audit }, input) {
    const [old] = await sql<{ version: number; note: string; attempt: number }[]>`
      SELECT version, note, attempt FROM run WHERE id = ${input.id} FOR UPDATE
    `;
    const run = found(old, "This run");
    checkVersion(run, input.version, { note: "Note" }, input, { note: run.note });
    await sql`UPDATE run SET note = ${input.note}, version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "run",
      id: input.id,
      label: `attempt ${run.attempt}: note`,
      before: { note: run.note },
      after: { note: input.note },
    });
  },
});

/** A picture of a run, without its metadata. */
export const addRunPhoto = command({
  name: "addRunPhoto",
  act: runActs.record,
  schema: s.runPhoto,
  subject: (sql, i) => ofRun(sql, i.runId),
  prepare: (i) => readPicture(Buffer.from(i.base64, "base64")),
  async run({ sql, audit, by }, input, picture): Promise<{ id: string }> {
    const { runId, caption } = input;
    const { project } = (await ofRun(sql, runId))!;
    const id = await usePicture(sql, picture, { projectId: project!, runId, caption, addedBy: by });
    audit({ type: "photo", id, label: input.caption });
    return { id };
  },
});
