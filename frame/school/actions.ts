"use server";
import { can } from "@/core/access/can";
import { importProject, restoreSchool } from "@/platform/bundle/bundle";
import { BundleError } from "@/platform/bundle/open";
import { action } from "@/platform/command/perform";
import type { Result } from "@/platform/command/result";
import { projectActs, schoolActs } from "@/platform/project/acts";
import { currentPerson } from "@/platform/sign-in/cookies";
import { createProject } from "@/stages/plan/commands/projects";
import { tables } from "@/stages/tables";

export const createProjectAction = action(createProject);

type Uploaded = Result<{ slug: string; title: string }>;

const bytesOf = async (form: FormData): Promise<Uint8Array | null> => {
  const file = form.get("file");
  return file instanceof File && file.size > 0 ? new Uint8Array(await file.arrayBuffer()) : null;
};

/** Brings a project bundle in; whoever imports it owns it. */
export async function importBundleAction(form: FormData): Promise<Uploaded> {
  const actor = await currentPerson();
  if (actor.kind !== "person" || !can(actor, projectActs.import, {}))
    return { ok: false, kind: "forbidden", message: "Only an instructor may import a project." };
  const bytes = await bytesOf(form);
  if (!bytes) return { ok: false, kind: "refused", message: "Choose the bundle, a .zip file." };
  return answer(() => importProject(tables, bytes, actor.id));
}

/** Replaces the whole school by a backup. */
export async function restoreSchoolAction(form: FormData): Promise<Result<null>> {
  if (!can(await currentPerson(), schoolActs.keep, {}))
    return { ok: false, kind: "forbidden", message: "Only the person who keeps the school may restore it." };
  if (form.get("confirm") !== "restore")
    return {
      ok: false,
      kind: "refused",
      message: "Write restore to confirm: everything that is here now is replaced.",
    };
  const bytes = await bytesOf(form);
  if (!bytes) return { ok: false, kind: "refused", message: "Choose the backup, a .zip file." };
  return answer(async () => {
    await restoreSchool(tables, bytes);
    return null;
  });
}

async function answer<T>(work: () => Promise<T>): Promise<Result<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    if (error instanceof BundleError) return { ok: false, kind: "refused", message: error.message };
    console.error(error);
    return { ok: false, kind: "failed", message: "Something went wrong on our side. Nothing was changed." };
  }
}
