"use server";
import { action } from "@/platform/command/perform";
import { archiveProject, deleteProject } from "./commands/archive";
import { createEdition, finishProject, reopenProject } from "./commands/editions";
import { bringBack, purgeWithdrawn } from "./commands/withdrawn";

export const finishProjectAction = action(finishProject);

export const reopenProjectAction = action(reopenProject);

export const createEditionAction = action(createEdition);

export const bringBackAction = action(bringBack);

export const purgeWithdrawnAction = action(purgeWithdrawn);

export const archiveProjectAction = action(archiveProject);

export const deleteProjectAction = action(deleteProject);
