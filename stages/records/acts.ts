import { acts, everyone, staff } from "@/core/access/can";

export const recordActs = acts("record", {
  bringBack: { project: everyone, student: "own" },
  purge: { project: staff },
  /** Models on the shelf, and who has them. */
  shelve: { project: staff },
  /** Awards as they are given. */
  honour: { project: staff },
  /** How a build is made again: its team's, and the instructors'. */
  guide: { project: everyone, student: "own" },
});
