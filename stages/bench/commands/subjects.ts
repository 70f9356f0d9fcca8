import type * as row from "@/platform/db/rows";
import "server-only";
import type { Subject } from "@/core/access/can";
import { teamOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";

interface Owner {
  projectId: row.Build["projectId"];
  teamId: row.Build["teamId"];
}

const subject = (b: Owner | undefined): Subject | null => (b ? { project: b.projectId, team: b.teamId } : null);

/** Whose a build is. */
export const ofBuild = (sql: Tx, id: string): Promise<Subject | null> => teamOf(sql, "build", id);

/** Whose a run is. */
export const ofRun = async (sql: Tx, id: string): Promise<Subject | null> =>
  subject(
    (
      await sql<Owner[]>`SELECT r.project_id, b.team_id FROM run r JOIN build b ON b.id = r.build_id WHERE r.id = ${id}`
    )[0],
  );

/** Whose a series is. */
export const ofSeries = async (sql: Tx, id: string): Promise<Subject | null> =>
  subject(
    (
      await sql<
        Owner[]
      >`SELECT s.project_id, b.team_id FROM series s JOIN build b ON b.id = s.build_id WHERE s.id = ${id}`
    )[0],
  );
