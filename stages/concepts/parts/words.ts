import { type ProjectUnits, showSides } from "@/core/quantity/systems";
import type { Concept } from "../queries/concepts";

export const size = (k: Concept, units: ProjectUnits) => (k.sides ? showSides(k.sides, units) : "–");

export const fateClass = {
  open: "text-soft",
  "goes on": "font-[650] text-moss",
  "set aside": "text-soft",
  merged: "text-slate",
} as const;
