import { acts, everyone, staff } from "@/core/access/can";

export const reviewActs = acts("review", {
  plan: { project: staff },
  read: { project: everyone, student: "class", guests: ["reviewer"] },
  mark: { project: staff, guests: ["reviewer"] },
  decide: { project: staff },
  arrange: { project: everyone, student: "own" },
  tell: { project: everyone, student: "own" },
  answer: { project: everyone, student: "own" },
  demonstrate: { project: staff, guests: ["client", "reviewer"] },
});

export const actionActs = acts("action", {
  close: { project: everyone, student: "own" },
});
