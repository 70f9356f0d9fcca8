import { bestOfEach, type RecordStep, recordSteps } from "@/core/records/progression";
import { type Channel, readTo } from "@/core/run/protocol";
import { showIn } from "@/core/run/reading";
import { daysBetween } from "@/core/sessions/date";
import { makeWorking, type Working } from "@/core/working/working";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { BuildBest } from "../queries/board";

export interface BoardEdition {
  readonly id: string;
  readonly title: string;
  readonly slug: string;
}

/** Who reached something, as a line tells it. */
export interface Holder {
  readonly buildId: string;
  readonly name: string;
  readonly edition: BoardEdition;
  readonly section: string;
  readonly place: string;
  readonly on: string;
  readonly runs: number;
  readonly shown: string;
}

export interface RecordLine {
  readonly key: string;
  readonly protocol: string;
  readonly channel: Channel;
  readonly holder: Holder;
  /** By how much it beat the one before, in words; empty for the first. */
  readonly beat: string;
  /** Days that it has stood. */
  readonly days: number;
  readonly working: Working;
  readonly steps: readonly { readonly holder: Holder; readonly by: string; readonly until: string | null }[];
  readonly editions: readonly Holder[];
  readonly classes: readonly { readonly name: string; readonly holder: Holder }[];
}

/** The record of every measure: who holds it, since when, by how much, and how it went from hand to hand. */
export function recordLines(
  lines: readonly { readonly protocol: Protocol; readonly channel: Channel }[],
  bests: readonly BuildBest[],
  editions: readonly BoardEdition[],
  today: string,
): RecordLine[] {
  const edition = new Map(editions.map((e) => [e.id, e]));
  return lines.flatMap(({ protocol, channel }): RecordLine[] => {
    const mine = bests
      .filter((b) => b.protocol === protocol.name && b.key === channel.key && edition.has(b.projectId))
      .map((b) => ({ ...b, id: `${b.buildId}` }));
    const { better } = protocol.definition;
    const shown = (v: number) => showIn(channel, v, 2);
    const told = (b: (typeof mine)[number]): Holder => ({
      buildId: b.buildId,
      name: `${b.team} G${b.number}`,
      edition: edition.get(b.projectId)!,
      section: b.section ?? "",
      place: b.place,
      on: b.at.slice(0, 10),
      runs: b.runs,
      shown: shown(b.value),
    });
    const of = new Map(mine.map((b) => [b.id, b]));
    const steps: RecordStep[] = recordSteps(mine, better, readTo(protocol.definition, channel.key));
    const last = steps.at(-1);
    if (!last) return [];
    const holder = told(of.get(last.id)!);
    const history = steps.map((s) => ({
      holder: told(of.get(s.id)!),
      by: s.by === null || channel.levels ? "" : shown(s.by),
      until: s.until?.slice(0, 10) ?? null,
    }));
    const before = history.at(-2);
    const { by } = history.at(-1)!;
    return [
      {
        key: `${protocol.id} ${channel.key}`,
        protocol: protocol.name,
        channel,
        holder,
        beat: before ? (by ? `beat ${before.holder.name} by ${by}` : `beat ${before.holder.name}`) : "",
        days: Math.max(0, daysBetween(holder.on, today)),
        working: makeWorking({
          title: `${channel.name}: the record`,
          result: holder.shown,
          unit: channel.unit,
          rule:
            `The ${better === "more" ? "largest" : "smallest"} comparable value of all editions, of each build its ` +
            "best run, on the bench and in the contest. One within the instrument's resolution of the record is none.",
          inputs: history.map((h) => ({
            label: `${h.holder.name}, ${h.holder.edition.title}, ${h.holder.on}`,
            value: h.holder.shown,
            unit: channel.unit,
          })),
        }),
        steps: history.toReversed(),
        editions: bestOfEach(mine, better, (b) => b.projectId).map((x) => told(x.best)),
        classes: bestOfEach(
          mine.filter((b) => b.section),
          better,
          (b) => `${edition.get(b.projectId)!.title}, section ${b.section}`,
        ).map((x) => ({ name: x.group, holder: told(x.best) })),
      },
    ];
  });
}
