import { can } from "@/core/access/can";
import { checkBackup } from "@/platform/bundle/check";
import { backupSchool } from "@/platform/bundle/pack";
import { download, refused } from "@/platform/pages/route";
import { schoolActs } from "@/platform/project/acts";
import { currentPerson } from "@/platform/sign-in/cookies";
import { tables } from "@/stages/tables";

/** The whole school, to the person who keeps it; its name says whether it was restored beside this one and compared. */
export async function GET(): Promise<Response> {
  if (!can(await currentPerson(), schoolActs.keep, {})) return refused();
  const bytes = await backupSchool(tables);
  const checked = await checkBackup(tables, bytes);
  return download(
    bytes,
    `ironstone-backup-${new Date().toISOString().slice(0, 10)}-${checked.ok ? "checked" : "not-checked"}.zip`,
    "application/zip",
  );
}
