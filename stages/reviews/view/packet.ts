import { runMeasure } from "@/core/needs/requirement";
import type { ProjectUnits } from "@/core/quantity/systems";
import { type Channel, channelsOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import type { Verdict } from "@/core/vocabulary/needs";
import { type PacketPart, packetPart } from "@/core/vocabulary/reviews";
import type { Build } from "@/stages/builds/queries/builds";
import type { FailureRow } from "@/stages/builds/queries/failures";
import { generationsView, margin } from "@/stages/builds/view/generations";
import { type Proposal, proposedView } from "@/stages/builds/view/proposed";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitWords } from "@/stages/needs/view/requirements";
import type { Wish } from "../queries/packet";
import type { Review } from "../queries/reviews";

export interface PacketFacts {
  readonly state: Pick<
    ProjectState,
    "requirements" | "teams" | "builds" | "protocols" | "verdict" | "summary" | "newest"
  >;
  /** Every review of the project. */
  readonly reviews: readonly Review[];
  readonly failures: readonly FailureRow[];
  readonly wishes: readonly Wish[];
  readonly proposal: Proposal | null;
  /** The best of the edition before. */
  readonly benchmark: {
    readonly team: string;
    readonly build: number;
    readonly edition: string;
    readonly value: number;
  } | null;
  readonly units: ProjectUnits;
  readonly currency: string;
}

/** The parts that a team shows, in its order; all of them where it has not chosen. */
export const shownParts = (chosen: readonly string[]): readonly PacketPart[] =>
  chosen.length
    ? chosen.filter((p): p is PacketPart => packetPart.values.includes(p as PacketPart))
    : packetPart.values;

/** What a build reached of a requirement that is measured on the bench, and how often. */
function measured(measure: string | null, buildId: string, state: PacketFacts["state"]) {
  const run = runMeasure(measure);
  const protocol = run && state.protocols.find((p) => p.id === run.protocol);
  const channel = protocol && channelsOf(protocol.definition).find((c) => c.key === run.channel);
  const kept = protocol && channel ? state.summary(buildId, protocol.id, channel.key) : null;
  if (!protocol || !channel || !kept || kept.counted === null) return null;
  return {
    protocol: protocol.name,
    channel: channel.name,
    value: unitAfter(showIn(channel, kept.counted, 2), channel.unit),
    runs: kept.n,
  };
}

/** What a build leaves of a limit, in words. */
const spare = ({ text, bad }: { text: string; bad: boolean }) =>
  bad ? `${text.replace("−", "")} over` : `${text} to spare`;

/** How a verdict is a risk, in words. */
const riskWords: Partial<Record<Verdict, string>> = {
  "not met": "is not met",
  marginal: "is too near its limit to tell",
  untested: "is not tested",
  stale: "was shown on an earlier state, and has to be shown again",
};

/** What the class and the edition before have reached in the channel that generations are compared by. */
function benchmarksOf(
  { state, benchmark }: PacketFacts,
  channel: Channel | undefined,
  protocolId: string | undefined,
): string[] {
  if (!channel || !protocolId) return [];
  const shown = (x: number) => unitAfter(showIn(channel, x, 2), channel.unit);
  const better = state.protocols.find((p) => p.id === protocolId)?.definition.better;
  const reached = state.builds.flatMap((b) => {
    const value = state.summary(b.id, protocolId, channel.key)?.counted ?? null;
    return value === null ? [] : [{ name: `${b.team} G${b.number}`, value }];
  });
  const best = reached.toSorted((a, b) => (better === "less" ? a.value - b.value : b.value - a.value))[0];
  return [
    ...(best ? [`${shown(best.value)}, best of the class: ${best.name}`] : []),
    ...(benchmark
      ? [`${shown(benchmark.value)}, best of ${benchmark.edition}: ${benchmark.team} G${benchmark.build}`]
      : []),
  ];
}

/** What stands in a team's packet: made from the record of the build that is reviewed and what led to it. */
export function packetView(review: Review, build: Build, facts: PacketFacts) {
  const { state, units, currency } = facts;
  const before = facts.reviews
    .filter((r) => r.teamId === review.teamId && r.id !== review.id && r.heldOn < review.heldOn)
    .toSorted((a, b) => a.heldOn.localeCompare(b.heldOn))
    .at(-1);
  const own = state.builds.filter((b) => b.teamId === review.teamId && b.number <= build.number);
  const since = before?.build ?? 0;
  const team = state.teams.filter((t) => t.id === review.teamId);
  const lines = generationsView(
    { ...state, teams: team, builds: own },
    { startsOn: build.builtOn, currency },
    {},
    units,
  );
  const verdictOf = (id: string) => state.verdict(id, build.id);
  const musts = state.requirements.filter((r) => r.priority === "must");
  const failures = facts.failures.filter((f) => own.some((b) => b.id === f.buildId));
  const asked = musts.map((r) => {
    const left = margin(r, build, units);
    return {
      id: r.id as string,
      code: r.code,
      statement: r.statement,
      limit: limitWords(r, currency),
      verdict: verdictOf(r.id),
      shown: left ? spare(left) : (measured(r.measure, build.id, state)?.value ?? ""),
    };
  });
  return {
    /** The review before, from which changes are told. */
    before: before
      ? { title: before.title, heldOn: before.heldOn, build: before.build, verdict: before.verdict }
      : null,
    asked,
    changed: own
      .filter((b) => b.number > since)
      .map((b) => ({
        id: b.id as string,
        name: `G${b.number}`,
        stage: b.stage,
        builtOn: b.builtOn,
        what: b.whatChanged,
        why: b.why,
        expected: b.expected,
        learned: b.learned,
      })),
    figures: lines,
    benchmarks: benchmarksOf(facts, lines.channel, lines.protocol?.id),
    evidence: state.requirements.flatMap((r) => {
      const m = measured(r.measure, build.id, state);
      return m ? [{ code: r.code, statement: r.statement, ...m, verdict: verdictOf(r.id) }] : [];
    }),
    wishes: facts.wishes.flatMap((w) => {
      const r = state.requirements.find((x) => x.id === w.requirementId);
      return r ? [{ ...w, code: r.code, verdict: verdictOf(r.id) }] : [];
    }),
    proposed: facts.proposal
      ? {
          title: facts.proposal.title,
          idea: facts.proposal.idea,
          rows: proposedView(facts.proposal, build, units, currency),
          pictures: { proposed: facts.proposal.sketches.slice(0, 2), built: build.photos.slice(0, 2) },
        }
      : null,
    failures: failures.map((f) => ({
      id: f.id as string,
      build: `G${f.build}`,
      what: [f.mode, f.place].filter(Boolean).join(", "),
      cause: f.cause,
      next: f.nextStep,
      answered: f.answeredBy === null ? null : `G${f.answeredBy}`,
    })),
    risks: [
      ...asked.flatMap((r) => (riskWords[r.verdict] ? [`${r.code}, ${r.statement}: ${riskWords[r.verdict]}`] : [])),
      ...failures
        .filter((f) => f.answeredBy === null)
        .map((f) => `${f.mode} of G${f.build} is not answered by a build yet`),
    ],
    actions: facts.reviews
      .filter((r) => r.teamId === review.teamId)
      .flatMap((r) =>
        r.actions.map((a) => ({
          id: a.id,
          what: a.what,
          from: r.title,
          dueOn: a.dueOn,
          closed: a.closedAt ? (a.closingEvidence ?? "") : null,
        })),
      ),
  };
}
export type Packet = ReturnType<typeof packetView>;

/** What a team can leave out of a part: musts, risks and what was agreed are shown whole, as long as they are shown. */
const packetKey = {
  changed: (c: Packet["changed"][number]) => `changed ${c.id}`,
  evidence: (e: Packet["evidence"][number]) => `evidence ${e.code}`,
  wishes: (w: Packet["wishes"][number]) => `wishes ${w.requirementId}`,
  failures: (f: Packet["failures"][number]) => `failures ${f.id}`,
};

/** What can be left out of a packet's parts, each with the key under which it is. */
export function packetItems(packet: Packet): Partial<Record<PacketPart, { key: string; label: string }[]>> {
  return {
    changed: packet.changed.map((c) => ({ key: packetKey.changed(c), label: `${c.name}: ${c.what}` })),
    evidence: packet.evidence.map((e) => ({ key: packetKey.evidence(e), label: `${e.code} ${e.statement}` })),
    wishes: packet.wishes.map((w) => ({ key: packetKey.wishes(w), label: w.statement })),
    failures: packet.failures.map((f) => ({ key: packetKey.failures(f), label: `${f.build}: ${f.what}` })),
  };
}

/** A packet without what its team left out, and how many things of each part that is. */
export function pickedPacket(packet: Packet, left: readonly string[]) {
  const out = new Set(left);
  const kept = <T>(items: readonly T[], keyOf: (item: T) => string) => items.filter((x) => !out.has(keyOf(x)));
  const picked: Packet = {
    ...packet,
    changed: kept(packet.changed, packetKey.changed),
    evidence: kept(packet.evidence, packetKey.evidence),
    wishes: kept(packet.wishes, packetKey.wishes),
    failures: kept(packet.failures, packetKey.failures),
  };
  const items = packetItems(packet);
  const count = (part: PacketPart) => (items[part] ?? []).filter((x) => out.has(x.key)).length;
  return {
    picked,
    left: Object.fromEntries(packetPart.values.map((p) => [p, count(p)])) as Record<PacketPart, number>,
  };
}
