import { acts, everyone } from "@/core/access/can";

export const handbookActs = acts("handbook", {
  attach: { project: everyone, student: "own" },
});
