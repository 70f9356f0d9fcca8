import { acts, everyone, staff } from "@/core/access/can";

export const protocolActs = acts("protocol", {
  edit: { project: staff },
});

export const runActs = acts("run", {
  record: { project: everyone, student: "own" },
  void: { project: staff },
});
