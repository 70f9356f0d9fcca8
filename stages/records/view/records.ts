import { type Channel, channelsOf } from "@/core/run/protocol";
import type { Better } from "@/core/vocabulary/runs";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { ContestEvent } from "@/stages/contest/queries/events";
import { type Benchmark, bestOf, bestsOf, editionsBefore } from "../queries/records";

/** The benchmark line of a project: the best of the edition before it; null for a first edition. */
export async function benchmarkOf(
  editionOf: string | null,
  protocolName: string,
  channel: string,
): Promise<Benchmark | null> {
  return editionOf ? bestOf(editionOf, protocolName, channel) : null;
}

/**
 * What a team has to beat: the best of the edition before, and the record of all editions before where an older one
 * holds it.
 */
export async function benchmarksOf(
  { id, editionOf }: { readonly id: string; readonly editionOf: string | null },
  protocol: string,
  channel: string,
  better: Better,
): Promise<{ last: Benchmark | null; record: Benchmark | null }> {
  const before = editionOf ? await editionsBefore(id) : [];
  const bests = await bestsOf(before.map((e) => ({ projectId: e.id, protocol, channel })));
  return { last: bests[0] ?? null, record: olderRecord(bests, better) };
}

/** The best of all editions, the newest first, where it is none of the newest's. */
export function olderRecord<B extends { readonly value: number }>(
  bests: readonly (B | null)[],
  better: Better,
): B | null {
  const sign = better === "more" ? 1 : -1;
  const [last, ...older] = bests;
  return older.reduce<B | null>((top, b) => {
    const beaten = top ?? last ?? null;
    return b && (!beaten || sign * (b.value - beaten.value) > 0) ? b : top;
  }, null);
}

/** What is put on record: the primary measure of every protocol and all that is computed from readings. */
export const recordedLines = (protocols: readonly Protocol[]): { protocol: Protocol; channel: Channel }[] =>
  protocols.flatMap((protocol) =>
    channelsOf(protocol.definition)
      .filter((c) => c.key === protocol.definition.primary || protocol.definition.derived.some((d) => d.key === c.key))
      .map((channel) => ({ protocol, channel })),
  );

/** What these lines are asked for as, of every edition: protocols keep their names, not their ids. */
export const measuresOf = (lines: readonly { readonly protocol: Protocol; readonly channel: Channel }[]) =>
  lines.map(({ protocol, channel }) => ({
    protocol: protocol.name,
    key: channel.key,
    better: protocol.definition.better,
  }));

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
