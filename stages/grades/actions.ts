"use server";
import { action } from "@/platform/command/perform";
import { enterMark, publishGrades, saveScheme } from "./commands";

export const saveSchemeAction = action(saveScheme);

export const enterMarkAction = action(enterMark);

export const publishGradesAction = action(publishGrades);
