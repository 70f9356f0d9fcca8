// A hand pump as physics sees it: displacement, leakage and friction give collected water and handle force, with the
// scatter of a class test.
import { seededRandom } from "@/core/draw/draw";

export interface Pump {
  /** Water per stroke if nothing leaked, litres. */
  readonly displacement: number;
  /** Share of the displacement that arrives. */
  readonly volumetric: number;
  /** Share of the handle's work that reaches the water. */
  readonly mechanical: number;
  /** Handle stroke, m. */
  readonly stroke: number;
}

export interface LiftReading {
  collected: string;
  force: string;
  stroke: string;
}

const [rho, g] = [998, 9.81];

/**
 * Readings of one lift run: 60 s at a rate (strokes a minute) over a lift (m). Efficiency stays volumetric ×
 * mechanical, below one.
 */
export function lift(pump: Pump, random: () => number, { rate = 60, height = 1.6 } = {}): LiftReading {
  const noise = (share: number) => 1 + share * (random() + random() + random() - 1.5);
  const volume = rate * pump.displacement * pump.volumetric * noise(0.035);
  const collected = (volume / 1000) * rho;
  const force =
    (rho * g * (volume / 1000) * height) / (pump.volumetric * pump.mechanical * noise(0.03) * pump.stroke * rate);
  return {
    collected: (Math.round(collected * 20) / 20).toFixed(2),
    force: (Math.round(force * 2) / 2).toFixed(1),
    stroke: (pump.stroke + (random() - 0.5) * 0.003).toFixed(3),
  };
}

/** A pump that gives a flow (L/min at 60 strokes a minute) with a total efficiency. */
export function pumpOf(flow: number, efficiency: number, stroke = 0.25): Pump {
  const volumetric = Math.min(0.93, 0.62 + flow * 0.03);
  return { displacement: flow / 60 / volumetric, volumetric, mechanical: efficiency / volumetric, stroke };
}

export const random = seededRandom;
