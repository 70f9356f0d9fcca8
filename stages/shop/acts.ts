import { acts, everyone, staff } from "@/core/access/can";

export const toolActs = acts("tool", {
  sign: { project: staff },
  /** What was tried at a machine: whoever tried it. */
  record: { project: everyone, student: "class" },
});
