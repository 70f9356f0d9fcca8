import { acts, everyone } from "@/core/access/can";

export const notebookActs = acts("notebook", {
  write: { project: ["student"], student: "own" },
  read: { project: everyone, student: "own" },
});
