import type { Concept } from "../queries/concepts";

export const size = (k: Concept) => (k.sides ? k.sides.map((x) => Math.round(Number(x) * 1000)).join(" × ") : "–");

export const fateClass = {
  open: "text-soft",
  "goes on": "font-[650] text-moss",
  "set aside": "text-soft",
  merged: "text-slate",
} as const;
