import type { Concept } from "../queries/concepts";

export const size = (k: Concept) => (k.sides ? k.sides.map((x) => Math.round(Number(x) * 1000)).join(" × ") : "–");

export const fateClass = {
  open: "text-soft",
  "goes on": "font-[650] text-moss",
  "set aside": "text-soft",
  merged: "text-slate",
} as const;

export const schoolWords = {
  client: "the client chooses",
  panel: "a panel scores",
  vote: "the class votes",
  weighted: "weighted matrix",
  datum: "datum matrix",
} as const;
