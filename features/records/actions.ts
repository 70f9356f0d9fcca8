"use server";
import { action } from "@/server/perform";
import * as projects from "@/data/projects";

export const finishProjectAction = action(projects.finishProject);
export const reopenProjectAction = action(projects.reopenProject);
export const createEditionAction = action(projects.createEdition);
