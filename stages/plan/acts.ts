import { acts, everyone, staff } from "@/core/access/can";

export const planActs = acts("plan", {
  edit: { project: staff },
});

export const gateActs = acts("gate", {
  sign: { project: staff },
  handIn: { project: everyone, student: "own" },
});

export const milestoneActs = acts("milestone", {
  check: { project: staff },
});
