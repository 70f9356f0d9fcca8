import { can } from "@/core/access/can";
import { backupSchool } from "@/platform/bundle/bundle";
import { download, refused } from "@/platform/pages/route";
import { schoolActs } from "@/platform/project/acts";
import { currentPerson } from "@/platform/sign-in/cookies";
import { tables } from "@/stages/tables";

/** The whole school, to the person who keeps it. */
export async function GET(): Promise<Response> {
  if (!can(await currentPerson(), schoolActs.keep, {})) return refused();
  return download(
    await backupSchool(tables),
    `ironstone-backup-${new Date().toISOString().slice(0, 10)}.zip`,
    "application/zip",
  );
}
