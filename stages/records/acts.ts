import { acts, everyone, staff } from "@/core/access/can";

export const recordActs = acts("record", {
  bringBack: { project: everyone, student: "own" },
  purge: { project: staff },
});
