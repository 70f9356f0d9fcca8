import { addDays, daysBetween } from "@/core/sessions/date";

/** How a training stands on a day. */
export type TrainingState = "none" | "holds" | "ends soon" | "over";

/** How many days before its end a training is said to end soon. */
export const soon = 14;

/**
 * The same day of a month so many months later; the last day of a shorter month.
 * @example addMonths("2026-08-31", 6) // => "2027-02-28"
 */
export function addMonths(iso: string, months: number): string {
  const [year, month, day] = iso.split("-").map(Number) as [number, number, number];
  const first = new Date(Date.UTC(year, month - 1 + months, 1)).toISOString().slice(0, 10);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return addDays(first, Math.min(day, last) - 1);
}

/**
 * How a training stands on a day: its last day counts.
 * @param training when it was signed and its last day, null where it never ends; nothing where there is none
 * @example trainingState({ expiresOn: "2027-03-10" }, "2027-03-02") // => "ends soon"
 */
export function trainingState(training: { readonly expiresOn: string | null } | undefined, day: string): TrainingState {
  if (!training) return "none";
  if (training.expiresOn === null) return "holds";
  if (training.expiresOn < day) return "over";
  return daysBetween(day, training.expiresOn) <= soon ? "ends soon" : "holds";
}

/**
 * Whether somebody may stand at a machine by it.
 * @example trained("over") // => false
 */
export function trained(state: TrainingState): boolean {
  return state === "holds" || state === "ends soon";
}

/** What has to be seen to before a machine runs for a booking. */
export type StartLack = "nobody" | "untrained" | "over" | "not checked" | "not released";

/**
 * What is missing before a machine runs for a booking, in the order in which it is seen to.
 * @param b the operator's training, null where nobody is named; whether the machine has lines to be looked at each day
 * and was looked at today; whether the piece can be cut once only, and was released
 * @example
 * startLacks({ training: "over", hasChecks: true, checked: false, once: false, released: false })
 * // => ["over", "not checked"]
 */
export function startLacks(b: {
  readonly training: TrainingState | null;
  readonly hasChecks: boolean;
  readonly checked: boolean;
  readonly once: boolean;
  readonly released: boolean;
}): StartLack[] {
  const lacks: StartLack[] = [];
  if (b.training === null) lacks.push("nobody");
  else if (!trained(b.training)) lacks.push(b.training === "over" ? "over" : "untrained");
  if (b.hasChecks && !b.checked) lacks.push("not checked");
  if (b.once && !b.released) lacks.push("not released");
  return lacks;
}
