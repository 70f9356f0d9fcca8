import type { GuestRole } from "../vocabulary/project";

/** The page that a guest's link opens: every role has decided. */
export const guestSurface: Readonly<Record<GuestRole, "client" | "review" | "scoring" | "board">> = {
  client: "client",
  reviewer: "review",
  judge: "scoring",
  scorer: "scoring",
  board: "board",
};

/** Whether a link of this role asks for a PIN: whoever scores is asked. */
export const guestPin: Readonly<Record<GuestRole, boolean>> = {
  client: false,
  reviewer: false,
  judge: true,
  scorer: true,
  board: false,
};

/**
 * Where a switch over a closed list ends: the compiler refuses it while a value is left out.
 * @example (() => { try { exhausted("x"); } catch (e) { return e.message; } })() // => "nobody has decided about x"
 */
export function exhausted(left: never): never {
  throw new Error(`nobody has decided about ${String(left)}`);
}
