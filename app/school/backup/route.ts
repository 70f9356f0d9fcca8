import { backupSchool } from "@/data/bundle";
import { can } from "@/core/access/can";
import { currentPerson } from "@/server/session";
import { download, refused } from "@/server/route";

/** The whole school, to the person who keeps it. */
export async function GET(): Promise<Response> {
  if (!can(await currentPerson(), "school.keep", {})) return refused();
  return download(
    await backupSchool(),
    `ironstone-backup-${new Date().toISOString().slice(0, 10)}.zip`,
    "application/zip",
  );
}
