import { acts, staff } from "@/core/access/can";

export const attentionActs = acts("attention", {
  aside: { project: staff },
});

export const classActs = acts("class", {
  /** What a class is for, who was there, and what was seen. */
  keep: { project: staff },
});
