import { acts, everyone, staff } from "@/core/access/can";

export const buildActs = acts("build", {
  edit: { project: everyone, student: "own" },
  withdraw: { project: staff },
});
