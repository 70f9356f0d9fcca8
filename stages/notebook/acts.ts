import { acts, everyone, staff } from "@/core/access/can";

export const notebookActs = acts("notebook", {
  write: { project: ["student"], student: "own" },
  read: { project: everyone, student: "own" },
  /** Who was shown an entry has read it, and signs. */
  countersign: { project: ["student"], student: "own" },
  /** An instructor has read an entry, and says something of it. */
  mark: { project: staff },
});
