import { type Term, vocabulary } from "./vocabulary";

/** An instrument that is simulated, where no real one is at hand. */
export const instrumentKind = vocabulary({
  scale: "scale under a vessel that fills",
  gauge: "force gauge with a stroke counter",
  thermometer: "thermometer in a box that warms up",
  electrical: "voltage and current logger on a generator",
  photogate: "two light gates that a vehicle passes",
  frame: "load frame with a specimen that breaks",
});
export type InstrumentKind = Term<typeof instrumentKind>;

/** What is timed with light gates. */
export const gateMeasure = vocabulary({
  between: "from the first gate to the second",
  blocked: "while a gate's beam is broken",
  laps: "from one break of a gate to its next",
});
export type GateMeasure = Term<typeof gateMeasure>;
