import { acts, everyone } from "@/core/access/can";

export const fileActs = acts("file", {
  read: { project: everyone, student: "class", guests: ["client", "reviewer", "judge"] },
});
