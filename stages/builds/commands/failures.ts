import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { buildActs } from "../acts";
import { ofBuild } from "../queries/builds";
import { type Failure, ofFailure } from "../queries/failures";
import * as s from "../schema";

const labels = {
  mode: "What failed",
  place: "Where",
  cause: "Likely cause",
  severity: "How much it matters",
  nextStep: "Next step",
};

/** Records what failed at a build, or corrects it. */
export const saveFailure = command({
  name: "saveFailure",
  act: buildActs.edit,
  schema: s.failure,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const pinned = input.photoId !== undefined && input.pinX !== undefined && input.pinY !== undefined;
    if (input.photoId)
      found(
        (await sql`SELECT FROM file_use WHERE id = ${input.photoId} AND build_id = ${input.buildId}`)[0],
        "The photo with the pin",
      );
    const row = {
      mode: input.mode,
      place: input.place,
      cause: input.cause.toLowerCase(),
      severity: input.severity,
      nextStep: input.nextStep,
      photoId: pinned ? input.photoId! : null,
      pinX: pinned ? String(input.pinX) : null,
      pinY: pinned ? String(input.pinY) : null,
    };
    if (!input.id) {
      const id = newId();
      const { project } = (await ofBuild(sql, input.buildId))!;
      await sql`
        INSERT INTO failure ${sql({ ...row, id, projectId: project, buildId: input.buildId, recordedBy: by })}
      `;
      audit({ type: "failure", id, label: input.mode, after: row });
      return { id };
    }
    const [asked] = await sql<Failure[]>`
      SELECT * FROM failure WHERE id = ${input.id} AND build_id = ${input.buildId} FOR UPDATE
    `;
    const old = found(asked, "This failure");
    checkVersion(old, input.version, labels, row, old as unknown as Record<string, unknown>);
    await sql`UPDATE failure SET ${sql(row)}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "failure", id: input.id, label: input.mode, before: old, after: row });
    return { id: input.id };
  },
});

/** Says which build of the team answers a failure, or opens it again. */
export const closeFailure = command({
  name: "closeFailure",
  act: buildActs.edit,
  schema: s.closeFailure,
  subject: (sql, i) => ofFailure(sql, i.id),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [asked] = await sql<(Failure & { teamId: string })[]>`
      SELECT f.*, b.team_id FROM failure f JOIN build b ON b.id = f.build_id WHERE f.id = ${input.id} FOR UPDATE OF f
    `;
    const old = found(asked, "This failure");
    checkVersion(
      old,
      input.version,
      { closedBy: "Answered by" },
      { closedBy: input.closedBy ?? null },
      {
        closedBy: old.closedBy,
      },
    );
    if (input.closedBy) {
      const [b] = await sql`SELECT FROM build WHERE id = ${input.closedBy} AND team_id = ${old.teamId}`;
      if (!b) refuse("A build of the same team answers it.", "closedBy");
    }
    await sql`
      UPDATE failure SET closed_by = ${input.closedBy ?? null}, version = version + 1 WHERE id = ${input.id}
    `;
    audit({
      type: "failure",
      id: input.id,
      label: old.mode,
      before: { closedBy: old.closedBy },
      after: { closedBy: input.closedBy ?? null },
    });
    return { id: input.id };
  },
});
