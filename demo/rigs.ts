import { randomUUID } from "node:crypto";
import { drawOrder } from "@/core/draw/draw";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { recordRun } from "@/stages/bench/commands/runs";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBuild } from "@/stages/builds/commands/builds";
import { begin } from "./helpers";
import { random } from "./model";
import { at, run } from "./run";

const rigTest: ProtocolDefinition = {
  conditions: [{ key: "n", name: "Rate", unit: "strokes/min", target: "60", tolerance: "3" }],
  measures: [{ key: "m", name: "Collected in 30 s", unit: "kg", resolution: "0.01", min: "0.5", max: "8" }],
  constants: [],
  derived: [],
  primary: "m",
  better: "more",
  policy: { school: "mean", n: 3, foul: "out" },
  safety: ["Water stays a metre away from power strips and chargers; wipe the floor before the next team."],
};

/** What a stroke of 0.22 m brings with a flap, what a ball and a longer stroke add; a ball likes a long one. */
const collected = (valve: string, stroke: string) =>
  2.6 +
  (valve === "ball" ? 0.18 : 0) +
  (stroke === "0.28 m" ? 0.55 : 0) +
  (valve === "ball" && stroke === "0.28 m" ? 0.35 : 0);

/** Two valves by two strokes on one rig, three runs of each in drawn order; gives the last of the four builds. */
export async function rigsOf(
  owner: string,
  team: { id: string; lead: string },
  projectId: string,
  day: string,
  before: string,
): Promise<string> {
  const rnd = random("rigs");
  await at(day, 9);
  const { id } = await run(saveProtocol, owner, { projectId, name: "Rig test", definition: rigTest });
  const version = (await protocolsOf(projectId)).find((p) => p.id === id)!.versionId;
  const rigs: { buildId: string; valve: string; stroke: string }[] = [];
  for (const valve of ["flap", "ball"])
    for (const stroke of ["0.22 m", "0.28 m"]) {
      const { id: buildId } = await run(saveBuild, team.lead, {
        teamId: team.id,
        stage: "mock-up",
        builtOn: day,
        whatChanged: `Rig with a ${valve} valve and a stroke of ${stroke}`,
        why: "Which of the two helps more, and whether they help each other",
        variables: `valve = ${valve}\nstroke = ${stroke}`,
        parentIds: [before],
      });
      rigs.push({ buildId, valve, stroke });
    }
  for (const [i, rig] of drawOrder([...rigs, ...rigs, ...rigs], "2209").entries()) {
    await at(day, 10, i * 4);
    await begin(team.lead, rig.buildId, version);
    await run(recordRun, team.lead, {
      id: randomUUID(),
      buildId: rig.buildId,
      protocolVersionId: version,
      readings: { m: (collected(rig.valve, rig.stroke) * (0.975 + rnd() * 0.05)).toFixed(2) },
      conditions: { n: (58.5 + rnd() * 3).toFixed(1) },
    });
  }
  return rigs.at(-1)!.buildId;
}
