import { acts, everyone } from "@/core/access/can";

export const buildActs = acts("build", {
  edit: { project: everyone, student: "own" },
});
