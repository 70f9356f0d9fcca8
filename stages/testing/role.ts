import type { World } from "./world";

export type Role =
  | "owner"
  | "co"
  | "teammate"
  | "other team"
  | "stranger"
  | "outside instructor"
  | "client"
  | "reviewer"
  | "judge"
  | "scorer"
  | "board"
  | "nobody";

/** A fitting input of a command on a world, and who may send it there. */
export interface Line {
  readonly input: (w: World) => object;
  readonly may: Role[];
}
