"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as grades from "@/data/grades";

export async function saveSchemeAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof grades.saveScheme.run>>>> {
  return perform(grades.saveScheme, input, envelope);
}
export async function enterMarkAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof grades.enterMark.run>>>> {
  return perform(grades.enterMark, input, envelope);
}
export async function publishGradesAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof grades.publishGrades.run>>>> {
  return perform(grades.publishGrades, input, envelope);
}
