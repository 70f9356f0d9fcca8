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

const levels = ["dry", "damp", "drips", "runs"];

/** A look at the seals: what nobody can put a number on, in an order that all agree on. */
const sealCheck: ProtocolDefinition = {
  conditions: [
    { key: "h", name: "Head of water", unit: "m", target: "1.60", tolerance: "0.05" },
    { key: "strokes", name: "Strokes before", unit: "1", target: "200", tolerance: "10" },
  ],
  measures: [
    { key: "seal", name: "Seal after 60 s", ...exactly, kind: "level", levels },
    { key: "clear", name: "Operator stays dry", ...exactly, kind: "yes-no" },
    { key: "drops", name: "Drops in 60 s", ...exactly, kind: "count", min: "0", max: "200" },
  ],
  constants: [],
  derived: [],
  primary: "seal",
  better: "less",
  policy: { school: "median", n: 4, foul: "out" },
  safety: ["Water stays a metre away from power strips and chargers; wipe the floor before the next team."],
};

/** The seals of each team's builds, looked at twice, after a pilot that showed which condition wanders. */
export function sealsOfTerrace(
  owner: string,
  { steps }: Awaited<ReturnType<typeof workOfTerrace>>,
  { day, projectId }: Awaited<ReturnType<typeof openTerrace>>,
  { teams }: Awaited<ReturnType<typeof teamsOfTerrace>>,
): void {
  const rnd = random("seals");
  let version = "";
  const look = async (who: string, buildId: string, worst: number, more: object = {}) => {
    const level = Math.max(0, Math.min(levels.length - 1, Math.floor(worst + rnd() * 1.7)));
    await begin(who, buildId, version);
    await run(recordRun, who, {
      id: randomUUID(),
      buildId,
      protocolVersionId: version,
      readings: {
        seal: levels[level],
        clear: level < 3 ? "yes" : "no",
        drops: String(level < 2 ? level : 9 * level + Math.floor(rnd() * 9)),
      },
      conditions: { h: (1.58 + rnd() * 0.05).toFixed(2), strokes: String(196 + Math.floor(rnd() * 9)) },
      ...more,
    });
  };
  steps.push({
    when: day(5, 1),
    order: 900,
    act: async () => {
      await at(day(5, 1), 15);
      await run(saveProtocol, owner, { projectId, name: "Seal check", definition: sealCheck });
      version = (await protocolsOf(projectId)).find((p) => p.name === "Seal check")!.versionId;
      const build = (await buildsOf(projectId)).findLast((b) => b.team === "Alder")!;
      for (const [i, strokes] of [200, 188, 214, 203, 181].entries()) {
        await at(day(5, 1), 15, 10 + i * 4);
        await look(owner, build.id, strokes > 195 ? 1.6 : 0.6, {
          pilot: true,
          conditions: { h: (1.59 + rnd() * 0.03).toFixed(2), strokes: String(strokes) },
        });
      }
    },
  });
  for (const [round, [week, d]] of (
    [
      [5, 4],
      [6, 4],
    ] as const
  ).entries())
    steps.push({
      when: day(week, d),
      order: 900,
      act: async () => {
        const builds = await buildsOf(projectId);
        for (const [i, [name, team]] of [...teams].entries()) {
          const build = builds.findLast((b) => b.team === name);
          if (!build) continue;
          for (let k = 0; k < 4; k++) {
            await at(day(week, d), 15, i * 6 + k);
            await look(team.members[2] ?? team.members[0]!, build.id, [1.7, 0.2][round]! + ((i * 5) % 7) / 5);
          }
        }
      },
    });
}
