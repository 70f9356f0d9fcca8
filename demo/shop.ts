import { randomUUID } from "node:crypto";
import { recordSetting } from "@/stages/shop/commands/machine-settings";
import { run } from "./run";

/** What was tried at the workshop's machines: what worked, and what did not. */
const tried = [
  ["Laser cutter", "Birch plywood", "3", "60 % power, 18 mm/s, one pass", "worked", "Cut through, edges light brown"],
  [
    "Laser cutter",
    "Birch plywood",
    "6",
    "70 % power, 8 mm/s, two passes",
    "partly",
    "Through in most places; knots stay",
  ],
  ["Laser cutter", "Cast acrylic", "3", "55 % power, 10 mm/s, one pass", "worked", "Clear edge, no burr"],
  [
    "Laser cutter",
    "Rubber sheet",
    "1.5",
    "30 % power, 25 mm/s, two passes",
    "failed",
    "Smoke and sticky edges: stopped, cut by knife",
  ],
  ["Drill press", "Cast acrylic", "5", "600 turns a minute, board behind, slow feed", "worked", "Clean hole of 6 mm"],
  ["Drill press", "Cast acrylic", "5", "1500 turns a minute, no board", "failed", "Cracked as the drill came through"],
] as const;

export async function settingsOfTheShop(projectId: string, by: readonly string[]): Promise<void> {
  for (const [i, [machine, material, thickness, settings, outcome, seen]] of tried.entries())
    await run(recordSetting, by[i % by.length]!, {
      id: randomUUID(),
      projectId,
      machine,
      material,
      thickness,
      settings,
      outcome,
      seen,
    });
}
