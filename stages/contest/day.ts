import "server-only";
import { type Envelope, perform } from "@/platform/command/perform";
import { scoreAttempt } from "./commands/attempts";
import { inspectBuild } from "./commands/inspections";
import { markSheet } from "./commands/judged";
import { recordMatch } from "./commands/match-results";

/** What a device writes on the day, by what it is called in its box. */
export const dayCommands = {
  attempt: scoreAttempt,
  match: recordMatch,
  inspection: inspectBuild,
  sheet: markSheet,
} as const;

interface Sent extends Envelope {
  readonly what: keyof typeof dayCommands;
  readonly input: unknown;
}

/** Whether this is something that a device of the day sends. */
export const isWritten = (sent: unknown): sent is Sent =>
  typeof sent === "object" && sent !== null && "what" in sent && Object.hasOwn(dayCommands, String(sent.what));

/** Writes what a device sent, as who uses it; the same id has the effect of one. */
export function writeOfTheDay({ what, input, requestId, via }: Sent) {
  const envelope = { requestId, via };
  switch (what) {
    case "attempt":
      return perform(dayCommands.attempt, input, envelope);
    case "match":
      return perform(dayCommands.match, input, envelope);
    case "inspection":
      return perform(dayCommands.inspection, input, envelope);
    case "sheet":
      return perform(dayCommands.sheet, input, envelope);
  }
}
