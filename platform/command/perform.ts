import "server-only";
import { isId } from "@/platform/db/id";
import { currentGuest, currentPerson } from "@/platform/sign-in/cookies";
import { type Command, execute } from "./command";
import type { Result } from "./result";

/** What a form sends with its values: an id that makes a retry harmless, and whether it stands on a guest's page. */
export interface Envelope {
  readonly requestId?: string;
  readonly via?: "guest";
}

/** The one way from a server action to a command: finds the actor and runs it. */
export async function perform<I, O>(cmd: Command<I, O>, input: unknown, envelope: Envelope = {}): Promise<Result<O>> {
  const actor = envelope.via === "guest" ? await currentGuest() : await currentPerson();
  const id = isId(envelope.requestId) ? envelope.requestId : undefined;
  return execute(cmd, actor, input, id);
}

/** A command as a server action; on a guest's page, by the guest of this browser, whoever else may be signed in. */
export const action =
  <I, O>(cmd: Command<I, O>, via?: "guest") =>
  async (input: unknown, envelope?: Envelope): Promise<Result<O>> =>
    perform(cmd, input, via ? { ...envelope, via } : envelope);
