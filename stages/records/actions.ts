"use server";
import { action } from "@/platform/command/perform";
import { createEdition, finishProject, reopenProject } from "./commands";

export const finishProjectAction = action(finishProject);

export const reopenProjectAction = action(reopenProject);

export const createEditionAction = action(createEdition);
