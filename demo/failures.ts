import type { FailureSeverity, PartSource } from "@/core/vocabulary/builds";

/** What failed in the tests of a generation, whether the next one answered it, and where on its photo. */
export interface Failed {
  mode: string;
  place: string;
  cause: string;
  severity: FailureSeverity;
  next: string;
  /** The generation that followed took it up. */
  answered?: boolean;
  pin?: readonly [number, number];
}

export const failures: Record<string, Failed[]> = {
  "Alder G1": [
    {
      mode: "The rag seal let half the water back",
      place: "piston",
      cause: "slip",
      severity: "worse",
      next: "A cup of leather",
      answered: true,
    },
  ],
  "Bramble G2": [
    {
      mode: "The lever's pivot bolt worked loose after 40 strokes",
      place: "pivot",
      cause: "joint",
      severity: "worse",
      next: "A lock nut, and a mark to see it turn",
      pin: [0.42, 0.35],
    },
  ],
  "Cistern G2": [
    {
      mode: "A syringe valve stuck half open",
      place: "outlet valve",
      cause: "grit",
      severity: "stop",
      next: "Valves that wipe themselves clean",
      answered: true,
    },
  ],
  "Cistern G3": [
    {
      mode: "The piston rod leans and rubs the cylinder",
      place: "rod",
      cause: "alignment",
      severity: "worse",
      next: "A guide above the cylinder",
      answered: true,
      pin: [0.5, 0.3],
    },
  ],
  "Downpour G1": [
    {
      mode: "The corks swelled overnight and jammed in the pipe",
      place: "discs",
      cause: "material",
      severity: "stop",
      next: "Rubber discs, smaller than the pipe by 1 mm",
    },
  ],
  "Ebb & Co G1": [
    {
      mode: "The bellows ballooned and leaked back",
      place: "bellows",
      cause: "material",
      severity: "worse",
      next: "Rings around the tube",
      answered: true,
    },
  ],
  "Gully G2": [
    {
      mode: "The wooden lever split along the grain",
      place: "at the pivot",
      cause: "joint",
      severity: "danger",
      next: "A steel lever",
      answered: true,
      pin: [0.55, 0.4],
    },
  ],
  "Gully G3": [
    {
      mode: "The base tips when the lever comes up",
      place: "base",
      cause: "brace",
      severity: "danger",
      next: "Feet that reach wider; nobody stands on the tube",
    },
  ],
  "Headrace G1": [
    {
      mode: "The frame bends by a centimetre at each stroke",
      place: "uprights",
      cause: "buckling",
      severity: "worse",
      next: "A brace across",
      answered: true,
    },
  ],
};

/** Count, mass of one, price of one. */
export const parts: Record<string, [string, number, string, string, PartSource][]> = {
  "Alder G3": [
    ["Drain pipe 40 mm, 600 mm", 1, "380 g", "4.20", "bought"],
    ["Plywood frame", 1, "1.65 kg", "9.00", "stock"],
    ["Lever, ash", 1, "620 g", "3.50", "stock"],
    ["Leather cup", 1, "45 g", "2.80", "donated"],
    ["Rubber flap valve", 2, "30 g", "1.20", "bought"],
    ["Hose 19 mm, 2 m", 1, "540 g", "4.60", "bought"],
    ["Bolts and nuts", 12, "18 g", "0.10", "stock"],
    ["Base board", 1, "880 g", "1.00", "donated"],
  ],
  "Cistern G4": [
    ["Cylinder, clear tube 30 mm", 2, "290 g", "5.10", "bought"],
    ["Guided rod, steel 6 mm", 2, "210 g", "2.40", "bought"],
    ["Rod guide, printed", 2, "38 g", "0.90", "made"],
    ["Rubber flap valve", 4, "30 g", "1.20", "bought"],
    ["Frame, pine 20 × 40", 6, "240 g", "1.10", "stock"],
    ["Hose 19 mm, 2 m", 1, "540 g", "4.60", "bought"],
    ["Lever and pivot", 1, "760 g", "6.40", "bought"],
    ["Bolts and nuts", 20, "18 g", "0.10", "stock"],
  ],
  "Gully G3": [
    ["Steel lever", 1, "1.90 kg", "8.00", "bought"],
    ["Base, oak", 1, "2.10 kg", "6.00", "donated"],
    ["Cylinder 38 mm", 1, "460 g", "6.20", "bought"],
    ["Turned piston", 1, "310 g", "7.50", "made"],
    ["Hose 19 mm, 2 m", 1, "540 g", "4.60", "bought"],
    ["Bolts and nuts", 14, "18 g", "0.10", "stock"],
  ],
};
