"use server";
import { action } from "@/platform/command/perform";
import { enterMarks } from "./commands/marks";
import { publishGrades } from "./commands/publish";
import { saveScheme } from "./commands/scheme";

export const saveSchemeAction = action(saveScheme);

export const enterMarksAction = action(enterMarks);

export const publishGradesAction = action(publishGrades);
