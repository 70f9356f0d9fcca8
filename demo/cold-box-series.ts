import { randomUUID } from "node:crypto";
import { recordRun } from "@/stages/bench/commands/runs";
import { addBlocks, openSeries } from "@/stages/bench/commands/series";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { blockSize } from "@/stages/bench/schema";
import { packed } from "@/stages/bench/view/samples";
import { saveBuild } from "@/stages/builds/commands/builds";
import { begin } from "./helpers";
import { random } from "./model";
import { at, run } from "./run";

/**
 * A vial in a box that melts its ice and then warms, a sample a second: it falls to the ice's temperature, stays near
 * it while there is ice, and then goes towards the chamber's.
 */
function cooling(hours: number, plateau: number, melted: number, slow: number, rnd: () => number) {
  const n = hours * 3600;
  const [t, v] = [new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i++) {
    const falling = 6 * Math.exp(-i / 1500);
    const warming = i > melted ? (32 - plateau) * (1 - Math.exp(-(i - melted) / slow)) : 0;
    t[i] = i;
    v[i] = Number((plateau + falling + warming + 0.02 * (rnd() + rnd() - 1)).toFixed(2));
  }
  return { t, v };
}

/** Mock-ups of two teams in the warm chamber, by logger: one is an attempt, the other waits to be looked at. */
export async function loggersOfColdBox(
  projectId: string,
  teams: readonly { id: string; lead: string }[],
  day: string,
): Promise<void> {
  const rnd = random("loggers");
  const version = (await protocolsOf(projectId)).find((p) => p.name === "Hold test")!.versionId;
  const boxes = [
    { changed: "Foam box, 30 mm, two gel packs", plateau: 3.1, melted: 17_400, slow: 21_000 },
    { changed: "Two nested boxes with an air gap", plateau: 4.2, melted: 24_900, slow: 26_000 },
  ];
  for (const [i, box] of boxes.entries()) {
    const { id: team, lead } = teams[i]!;
    await at(day, 9, i * 10);
    const { id: buildId } = await run(saveBuild, lead, {
      teamId: team,
      stage: "mock-up",
      builtOn: day,
      whatChanged: box.changed,
      why: "To see how the chamber and the logger behave before a concept is chosen",
      mass: `${(2.1 + i * 0.7).toFixed(1)} kg`,
      variables: `insulation = ${["30 mm foam", "two walls"][i]}`,
    });
    await at(day, 20, i * 10);
    await begin(lead, buildId, version);
    const { t, v } = cooling(10, box.plateau, box.melted, box.slow, rnd);
    const seriesId = randomUUID();
    const source = `chamber-logger-${i + 1}.csv`;
    await run(openSeries, lead, { id: seriesId, buildId, protocolVersionId: version, key: "th", source });
    const blocks = Array.from({ length: Math.ceil(t.length / blockSize.samples) }, (_, number) => ({
      number,
      samples: packed(t, v, number * blockSize.samples, Math.min(t.length, (number + 1) * blockSize.samples)),
    }));
    await run(addBlocks, lead, { seriesId, blocks });
    if (i === 0)
      await run(recordRun, lead, {
        id: randomUUID(),
        buildId,
        protocolVersionId: version,
        readings: { Tmax: "11.9 °C" },
        conditions: { Ta: "31.6 °C" },
        seriesIds: [seriesId],
      });
  }
}
