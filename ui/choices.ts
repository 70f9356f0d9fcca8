import { dayNames } from "@/core/sessions/sessions";

/** The days of the week for a choice, 1 for Monday. */
export const weekdays = dayNames.map((label, i) => ({ value: String(i + 1), label }));
