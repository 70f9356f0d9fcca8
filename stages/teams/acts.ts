import { acts, everyone, staff } from "@/core/access/can";

export const teamActs = acts("team", {
  edit: { project: staff },
  join: { project: ["student"], student: "own" },
});

export const wishActs = acts("wish", {
  write: { project: ["student"], student: "own" },
});

export const partActs = acts("part", {
  edit: { project: everyone, student: "own" },
});
