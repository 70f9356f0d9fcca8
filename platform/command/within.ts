import "server-only";
import { ValidationError } from "yup";
import type { Command, Context } from "./command";
import { Refused, refuse } from "./failure";

/**
 * A command as a part of a larger one: what it takes is checked as ever, and it writes in the same transaction. Whoever
 * may do the larger one may do its parts: it has made what they are about. What is wrong is said with its place.
 */
export async function within<I, O>(context: Context, part: Command<I, O>, input: unknown, place: string): Promise<O> {
  try {
    const read = await part.schema.validate(input);
    return await part.run(context, read, await part.prepare?.(read));
  } catch (error) {
    if (error instanceof ValidationError || error instanceof Refused) refuse(`${place}: ${error.message}`, "file");
    throw error;
  }
}
