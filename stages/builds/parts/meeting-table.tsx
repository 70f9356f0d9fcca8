import type { Channel } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import Link from "@/ui/link";
import type { Build } from "../queries/builds";

/** Builds that meet in one, side by side: who made each, what changed, what it reached and what it taught. */
export function MeetingTable({
  base,
  builds,
  channel,
  reached,
  failed,
}: {
  /** The address of the builds. */
  base: string;
  builds: readonly Build[];
  channel: Channel | undefined;
  /** What a build reached; null where it was not tested. */
  reached: (id: string) => number | null;
  /** What failed at a build and is not answered yet. */
  failed: (id: string) => readonly string[];
}) {
  const value = (x: number | null) => (x === null || !channel ? "–" : unitAfter(showIn(channel, x, 2), channel.unit));
  const rows: (readonly [string, (b: Build) => string])[] = [
    ["Made by", (b) => b.maker ?? `${b.team} together`],
    ["What changed", (b) => b.whatChanged],
    [
      channel?.name ?? "Reached",
      (b) => `${value(reached(b.id))}${b.predicted ? `, predicted ${value(Number(b.predicted))}` : ""}`,
    ],
    ["Features", (b) => b.features.join(", ") || "–"],
    ["Good", (b) => b.good || "–"],
    ["Not good", (b) => b.notGood || "–"],
    ["What it taught", (b) => b.learned || "nothing written yet"],
    ["What failed", (b) => failed(b.id).join("; ") || "–"],
  ];
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[420px]">
        <thead>
          <tr className="text-left">
            <th className="w-28" />
            {builds.map((b) => (
              <th key={b.id} className="pr-4 pb-1">
                <Link href={`${base}/${b.id}`} className="font-[650] hover:text-iron">
                  {b.team} G{b.number}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, of]) => (
            <tr key={name} className="border-t border-line align-top">
              <th scope="row" className="py-1 text-left font-normal text-soft">
                {name}
              </th>
              {builds.map((b) => (
                <td key={b.id} className="py-1 pr-4">
                  {of(b)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
