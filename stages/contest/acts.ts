import { acts, everyone, staff } from "@/core/access/can";

export const contestActs = acts("contest", {
  edit: { project: staff },
  inspect: { project: staff, guests: ["judge"] },
  score: { project: staff, guests: ["judge", "scorer"] },
  read: { project: everyone, student: "class", guests: ["judge", "scorer", "board"] },
});
