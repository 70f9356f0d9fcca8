import { type Benchmark, bestOf } from "./queries";

/** The benchmark line of a project: the best of the edition before it; null for a first edition. */
export async function benchmarkOf(
  editionOf: string | null,
  protocolName: string,
  channel: string,
): Promise<Benchmark | null> {
  return editionOf ? bestOf(editionOf, protocolName, channel) : null;
}
