import { acts, everyone, staff } from "@/core/access/can";

export const conceptActs = acts("concept", {
  edit: { project: everyone, student: "own" },
  decide: { project: staff },
  rate: { project: everyone, student: "class", guests: ["client", "reviewer"] },
});
