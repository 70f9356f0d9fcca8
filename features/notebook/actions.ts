"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as notebook from "@/data/notebook";
export async function writeEntryAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof notebook.writeEntry.run>>>> {
  return perform(notebook.writeEntry, input, envelope);
}
export async function amendEntryAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof notebook.amendEntry.run>>>> {
  return perform(notebook.amendEntry, input, envelope);
}
