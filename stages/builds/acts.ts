import { acts, everyone, staff } from "@/core/access/can";

export const buildActs = acts("build", {
  edit: { project: everyone, student: "own" },
  withdraw: { project: staff },
  /** That a piece which can be cut once only may be cut. */
  release: { project: staff },
});
