import { acts, staff } from "@/core/access/can";

export const toolActs = acts("tool", {
  sign: { project: staff },
});
