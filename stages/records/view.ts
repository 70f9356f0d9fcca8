import { type Channel, channelsOf } from "@/core/run/protocol";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { ContestEvent } from "@/stages/contest/queries/events";
import { type Benchmark, bestOf } from "./queries";

/** The benchmark line of a project: the best of the edition before it; null for a first edition. */
export async function benchmarkOf(
  editionOf: string | null,
  protocolName: string,
  channel: string,
): Promise<Benchmark | null> {
  return editionOf ? bestOf(editionOf, protocolName, channel) : null;
}

/** What is put on record: the primary measure of every protocol and all that is computed from readings. */
export const recordedLines = (protocols: readonly Protocol[]): { protocol: Protocol; channel: Channel }[] =>
  protocols.flatMap((protocol) =>
    channelsOf(protocol.definition)
      .filter((c) => c.key === protocol.definition.primary || protocol.definition.derived.some((d) => d.key === c.key))
      .map((channel) => ({ protocol, channel })),
  );

/** Who came first in each event, a tie with all of them, and the build that did it. */
export const firstPlaces = (events: readonly ContestEvent[], builds: readonly Build[]) =>
  events.flatMap((event) =>
    event.standings
      .filter((s) => s.place === 1)
      .map((standing) => {
        const entry = event.entries.find((n) => n.id === standing.id);
        return { event, standing, build: builds.find((b) => b.id === entry?.buildId) };
      }),
  );
