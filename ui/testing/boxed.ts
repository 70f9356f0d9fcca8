// In place of the address to which boxes are sent: what was sent, as the test answers it.
//   jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);
import type { Boxed } from "@/core/vocabulary/boxed";

/** Is given what was sent, its envelope, and what it is. */
export const box = jest.fn();

export const boxes = {
  sendBoxed: (what: Boxed) => (input: unknown, envelope: unknown) => box(input, envelope, what),
};
