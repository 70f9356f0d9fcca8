import "server-only";
import type { Boxed } from "@/core/vocabulary/boxed";
import type { Command } from "@/platform/command/command";
import { recordRun } from "./bench/commands/runs";
import { rateConcepts } from "./concepts/commands/selection";
import { scoreAttempt } from "./contest/commands/attempts";
import { inspectBuild } from "./contest/commands/inspections";
import { markSheet } from "./contest/commands/judged";
import { recordMatch } from "./contest/commands/match-results";
import { enterMarks } from "./grades/commands/marks";
import { recordFinding } from "./needs/commands/findings";
import { writeNote } from "./needs/commands/notes";
import { writeEntry } from "./notebook/commands";
import { submitSheet } from "./reviews/commands/marking";

/** What writes the things that pages keep in their boxes. */
export const boxedCommands = {
  attempt: scoreAttempt,
  match: recordMatch,
  inspection: inspectBuild,
  sheet: markSheet,
  run: recordRun,
  note: writeNote,
  finding: recordFinding,
  entry: writeEntry,
  marks: enterMarks,
  review: submitSheet,
  ratings: rateConcepts,
} as const satisfies Record<Boxed, unknown>;

/** The command that writes what is called so in a box; none for any other word. */
export const boxedCommand = (what: unknown): Command<unknown, unknown> | null =>
  typeof what === "string" && Object.hasOwn(boxedCommands, what)
    ? (boxedCommands[what as Boxed] as unknown as Command<unknown, unknown>)
    : null;
