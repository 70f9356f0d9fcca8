import { randomUUID } from "node:crypto";
import { receiver } from "@/core/instrument/receive";
import { simulatedInstrument, usualSimulation } from "@/core/instrument/simulated";
import { addBlocks, openSeries } from "@/stages/bench/commands/series";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { packed } from "@/stages/bench/view/samples";
import { buildsOf } from "@/stages/builds/queries/builds";
import { at, run } from "./run";
import type { openTerrace } from "./terrace-pump";
import type { teamsOfTerrace, workOfTerrace } from "./terrace-work";

/** A force gauge on a pump's handle, listened to for a minute; nobody has made an attempt of it yet. */
export function gaugeOfTerrace(
  { steps }: Awaited<ReturnType<typeof workOfTerrace>>,
  { day, projectId }: Awaited<ReturnType<typeof openTerrace>>,
  { teams }: Awaited<ReturnType<typeof teamsOfTerrace>>,
): void {
  steps.push({
    when: day(6, 4),
    order: 950,
    act: async () => {
      const lead = teams.get("Alder")!.members[0]!;
      const build = (await buildsOf(projectId)).findLast((b) => b.team === "Alder")!;
      const protocol = (await protocolsOf(projectId)).find((p) => p.name === "Lift test")!;
      const sends = simulatedInstrument({ ...usualSimulation("gauge", "alder"), dropouts: 0.01 });
      const hears = receiver([{ key: "F", unit: "N", channel: "force" }]);
      const samples = Array.from({ length: 62 * 50 }, (_, k) => sends(k))
        .flat()
        .flatMap((line) => hears.take(line, 0));
      const [t, v] = [samples.map((s) => s.t), samples.map((s) => s.v)];
      const seriesId = randomUUID();
      await at(day(6, 4), 15, 55);
      await run(openSeries, lead, {
        id: seriesId,
        buildId: build.id,
        protocolVersionId: protocol.versionId,
        key: "F",
        source: "Force gauge on the handle",
      });
      await run(addBlocks, lead, {
        seriesId,
        blocks: [0, 1].map((number) => ({
          number,
          samples: packed(t, v, number * 1600, Math.min(t.length, (number + 1) * 1600)),
        })),
      });
    },
  });
}
