import { markPiece, releasePiece, savePiece } from "@/stages/builds/commands/pieces";
import { buildsOf } from "@/stages/builds/queries/builds";
import { at, run } from "./run";
import type { openTerrace } from "./terrace-pump";
import type { teamsOfTerrace, workOfTerrace } from "./terrace-work";

const guide = { chain: "piston guide", material: "12 mm beech", machine: "band saw" };
const laser = { oneChance: true, material: "3 mm acrylic, the last sheet", machine: "laser cutter" };

/** Who makes what for a pump, how far off it came out, and a plate that waits for its one cut. */
export function piecesOfTerrace(
  owner: string,
  { steps }: Awaited<ReturnType<typeof workOfTerrace>>,
  { day, projectId }: Awaited<ReturnType<typeof openTerrace>>,
  { teams }: Awaited<ReturnType<typeof teamsOfTerrace>>,
): void {
  steps.push({
    when: day(6, 4),
    order: 960,
    act: async () => {
      const [first, second] = teams.get("Alder")!.members as [string, string];
      const build = (await buildsOf(projectId)).findLast((b) => b.team === "Alder")!;
      await at(day(6, 4), 15, 57);
      const make = async (
        who: string,
        name: string,
        piece: object,
        ticks: readonly (readonly [string, string])[],
      ): Promise<void> => {
        const { id } = await run(savePiece, who, { buildId: build.id, name, ...piece });
        for (const [by, step] of ticks)
          await run(step === "released" ? releasePiece : markPiece, by, { id, step, on: true } as never);
      };
      const sawn = [
        [first, "drawn"],
        [second, "checked"],
        [first, "cut"],
      ] as const;
      const sides = [
        ["Guide, lower block", "40 mm", "40.6 mm"],
        ["Guide, tube", "120 mm", "120.3 mm"],
        ["Guide, upper block", "40 mm", "39.9 mm"],
      ] as const;
      for (const [i, [name, nominal, measured]] of sides.entries())
        await make(
          first,
          name,
          { ...guide, makerId: i === 2 ? second : first, nominal, tolerance: "0.3 mm", measured },
          i === 1 ? [...sawn, [first, "fitted"]] : sawn,
        );
      await make(
        second,
        "Valve seat",
        { ...laser, makerId: second, nominal: "52 mm", tolerance: "0.2 mm", settings: "power = 65 %\nspeed = 12 mm/s" },
        [
          [second, "drawn"],
          [first, "checked"],
          [second, "trial"],
          [owner, "released"],
          [second, "cut"],
        ],
      );
      await make(second, "Valve plate", { ...laser, makerId: second, nominal: "60 mm", tolerance: "0.2 mm" }, [
        [second, "drawn"],
        [first, "checked"],
      ]);
      await make(first, "Splash guard", { material: "plastic folder" }, []);
    },
  });
}
