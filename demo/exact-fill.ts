import { saveProtocol } from "@/stages/bench/commands/protocols";
import { saveEvent } from "@/stages/contest/commands/events";
import { run } from "./run";

const filling = {
  conditions: [],
  measures: [{ key: "V", name: "In the vessel", unit: "L", resolution: "0.005", min: "0.5", max: "4" }],
  constants: [],
  derived: [],
  primary: "V",
  better: "less",
  policy: { school: "best", n: 2, foul: "out" },
  safety: ["The vessel stands on the floor; nobody lifts it while it is full."],
};

/** The exact fill set up: two litres into a vessel without a mark, read by two, the closest is best. */
export async function setUpExactFill(owner: string, projectId: string, seed: string): Promise<void> {
  const { id: protocolId } = await run(saveProtocol, owner, { projectId, name: "Exact fill", definition: filling });
  await run(saveEvent, owner, {
    projectId,
    name: "Exact fill",
    protocolId,
    channel: "V",
    better: "less",
    school: "best",
    n: 2,
    foul: "out",
    ranking: "competition",
    ties: "resolution",
    resolution: "0.005",
    tieBreaks: ["second", "lighter"],
    target: "2.000",
    care: "mean",
    penalties: "Water over the rim: 0.05\nVessel touched: 0.02",
    points: {
      kind: "target",
      target: "2.000",
      points: "100",
      perStep: "1",
      step: "0.030",
      school: "complete",
      beyond: "5",
      floor: "0",
    },
    seed,
    cautions:
      "The vessel stands on the floor, on a mat; nobody lifts it while it is full.\n" +
      "What is spilt is wiped up before the next team.",
    officer: "Mara Okonedo",
  });
}
