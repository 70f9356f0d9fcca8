import type { EventSafety } from "../queries/safety";

/** Whether an event may be scored: its rules read, not halted, and its cautions ticked today. */
export const mayBegin = (e: Pick<EventSafety, "cautions" | "check" | "copied" | "halt">): boolean =>
  !e.copied && !e.halt && (e.cautions.length === 0 || e.check !== null);

/** What is usual to be so before an event, one sentence a line: to be changed to what it needs. */
export const usualCautions = [
  "Spectators stand behind the line.",
  "Water is away from power; cables lie where nobody steps on them.",
  "Who stands at the rig wears eye protection; hair and sleeves are tied back.",
  "Everybody knows that anybody may call a stop.",
].join("\n");
