import { acts, everyone, staff } from "@/core/access/can";

export const gradeActs = acts("grade", {
  edit: { project: staff },
  readAll: { project: staff },
  readOwn: { project: everyone, student: "own" },
});
