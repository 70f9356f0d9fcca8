import { acts, staff } from "@/core/access/can";

export const attentionActs = acts("attention", {
  aside: { project: staff },
});
