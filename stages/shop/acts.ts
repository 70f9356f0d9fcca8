import { acts, everyone, staff } from "@/core/access/can";

export const toolActs = acts("tool", {
  sign: { project: staff },
  /** What was tried at a machine, and what was looked at before it ran: whoever did. */
  record: { project: everyone, student: "class" },
});

export const bookingActs = acts("booking", {
  /** Asks for a machine, begins and ends the time at it. */
  ask: { project: everyone, student: "own" },
  place: { project: staff },
});

export const incidentActs = acts("incident", {
  /** Whoever saw it tells it; who was told and what was changed is the instructors'. */
  report: { project: everyone, student: "class" },
  keep: { project: staff },
});

export const stockActs = acts("stock", {
  keep: { project: staff },
  /** What was bought for one's own team's build. */
  got: { project: everyone, student: "own" },
});

export const cutActs = acts("cut list", {
  edit: { project: everyone, student: "own" },
});
