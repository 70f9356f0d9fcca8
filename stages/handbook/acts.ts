import { acts, everyone, staff } from "@/core/access/can";

export const handbookActs = acts("handbook", {
  attach: { project: everyone, student: "own" },
});

export const trainerActs = acts("trainer", {
  answer: { project: everyone, student: "own" },
  /** Who needs what. */
  read: { project: staff },
});
