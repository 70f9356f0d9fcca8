import { acts, everyone, staff } from "@/core/access/can";

export const gradeActs = acts("grade", {
  edit: { project: staff },
  readAll: { project: staff },
  ratePeers: { project: ["student"], student: "own" },
  appeal: { project: ["student"], student: "own" },
  readOwn: { project: everyone, student: "own" },
});
