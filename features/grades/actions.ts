"use server";
import { action } from "@/server/perform";
import * as grades from "@/data/grades";

export const saveSchemeAction = action(grades.saveScheme);
export const enterMarkAction = action(grades.enterMark);
export const publishGradesAction = action(grades.publishGrades);
