import { acts, everyone, staff } from "@/core/access/can";

export const briefActs = acts("brief", {
  edit: { project: staff },
  read: { project: everyone, student: "class", guests: ["client", "reviewer", "judge"] },
  acknowledge: { project: ["student"], student: "class" },
});
