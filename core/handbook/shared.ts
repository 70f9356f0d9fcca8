import type { Entry } from "./calculator";

/** Gravity, as several calculators are given it. */
export const gravity: Entry = { symbol: "g", name: "gravity", unit: "m/s²", value: "9.81" };

/** The density of the air in a room. */
export const air: Entry = { symbol: "ρ", name: "density of the air", unit: "kg/m³", value: "1.2" };
