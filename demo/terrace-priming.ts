import { randomUUID } from "node:crypto";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { exactly } from "@/core/run/reading";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { recordRun } from "@/stages/bench/commands/runs";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { buildsOf } from "@/stages/builds/queries/builds";
import { begin } from "./helpers";
import { random } from "./model";
import { at, run } from "./run";
import type { openTerrace } from "./terrace-pump";
import type { teamsOfTerrace, workOfTerrace } from "./terrace-work";

const steps = ["Water rises in the pipe", "Foot valve holds it", "Water passes the piston", "Water leaves the spout"];

/** How a dry pump comes to its first water: one step after the other, or not. */
const priming: ProtocolDefinition = {
  conditions: [{ key: "h", name: "Water below the pump", unit: "m", target: "0.80", tolerance: "0.05" }],
  measures: [
    { key: "passed", name: "Steps passed", ...exactly, kind: "count", min: "0", max: "4" },
    { key: "N", name: "Strokes until water", ...exactly, kind: "count", min: "1", max: "60" },
  ],
  constants: [],
  derived: [],
  primary: "passed",
  better: "more",
  policy: { school: "mean", n: 5, foul: "out" },
  safety: ["Dry the floor before the next team; water stays a metre away from power strips and chargers."],
  steps,
};

/** Each team's newest build, dry, five times: where it stops on its way to the first water. */
export function primingOfTerrace(
  owner: string,
  { steps: days }: Awaited<ReturnType<typeof workOfTerrace>>,
  { day, projectId }: Awaited<ReturnType<typeof openTerrace>>,
  { teams }: Awaited<ReturnType<typeof teamsOfTerrace>>,
): void {
  const rnd = random("priming");
  let version = "";
  for (const [round, week] of ([5, 6] as const).entries())
    days.push({
      when: day(week, 2),
      order: 910,
      act: async () => {
        if (round === 0) {
          await at(day(week, 2), 14, 5);
          await run(saveProtocol, owner, { projectId, name: "Priming", definition: priming });
          version = (await protocolsOf(projectId)).find((p) => p.name === "Priming")!.versionId;
        }
        const builds = await buildsOf(projectId);
        for (const [i, [name, { members }]] of [...teams].entries()) {
          const build = builds.findLast((b) => b.team === name);
          if (!build || (i + round) % 4 === 3) continue;
          const holds = [0.97, 0.6 + ((i * 3) % 5) / 20 + round * 0.18, 0.9, 0.86];
          await begin(members[1]!, build.id, version);
          for (let k = 0; k < 5; k++) {
            await at(day(week, 2), 14, 10 + i * 5 + k);
            const stopped = holds.findIndex((p) => rnd() > p);
            const passed = stopped < 0 ? steps.length : stopped;
            await run(recordRun, members[1]!, {
              id: randomUUID(),
              buildId: build.id,
              protocolVersionId: version,
              readings: { passed: String(passed), N: String(6 + Math.floor(rnd() * 9) + 8 * (steps.length - passed)) },
              conditions: { h: (0.78 + rnd() * 0.05).toFixed(2) },
            });
          }
        }
      },
    });
}
