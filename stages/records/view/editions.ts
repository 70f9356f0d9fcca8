import { rulesWithNumbers } from "@/core/brief/brief";
import { outlineOf } from "@/core/grades/outline";
import type { ComponentSource, GradedMeasure } from "@/core/grades/scheme";
import { describeLimit, runMeasure } from "@/core/needs/requirement";
import { describeRule } from "@/core/points/rule";
import { changesBetween, type EditionChange, type EditionItem } from "@/core/records/editions";
import { channelsOf, type ProtocolDefinition, primaryOf } from "@/core/run/protocol";
import { levelName, levelsOf, showIn } from "@/core/run/reading";
import { median } from "@/core/stats/describe";
import { eventFormat } from "@/core/vocabulary/contest";
import { componentSource, gradedBuild, rounding } from "@/core/vocabulary/grades";
import { verificationMethod } from "@/core/vocabulary/needs";
import { attemptMethod } from "@/core/vocabulary/runs";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import type { Protocol } from "@/stages/bench/queries/runs";
import { limitOf } from "@/stages/needs/view/requirements";
import type { BuildBest } from "../queries/board";
import type { EditionRow } from "../queries/editions";

const short = (label: string) => nameAndReason(label)[0];
const joined = (...parts: readonly string[]) => parts.filter(Boolean).join(" ");
const inUnit = (unit: string) => (unit === "1" ? "" : unit);

/** A requirement's measure by name, as another edition would call it too: ids differ from edition to edition. */
function measureName(measure: string | null, protocols: EditionRow["protocols"]): string {
  const run = runMeasure(measure);
  if (!run) return measure ?? "";
  const of = protocols.find((p) => p.id === run.protocol);
  const channel = of && channelsOf(of.definition).find((c) => c.key === run.channel);
  return of && channel ? `${channel.name}, ${of.name}` : run.channel;
}

const requirementItems = (e: EditionRow): EditionItem[] =>
  e.requirements.map((r) => {
    const run = runMeasure(r.measure);
    const reading = e.protocols
      .find((p) => p.id === run?.protocol)
      ?.definition.measures.find((m) => m.key === run?.channel);
    const limit = limitOf({ ...r, reading: reading ?? null });
    return {
      key: r.code,
      name: `${r.code} ${r.statement}`,
      facts: {
        Statement: r.statement,
        Priority: r.priority,
        Limit: limit ? joined(describeLimit(limit), r.measure === "cost" ? e.currency : "") : "",
        Measured: measureName(r.measure, e.protocols),
        "Verified by": r.method ? short(verificationMethod.labels[r.method]) : "",
      },
    };
  });

const protocolFacts = (d: ProtocolDefinition): Record<string, string> => ({
  ...Object.fromEntries(
    d.conditions.map((c) => [`Condition: ${c.name}`, joined(`${c.target} ± ${c.tolerance}`, inUnit(c.unit))]),
  ),
  ...Object.fromEntries(
    d.measures.map((m) => [
      `Read: ${m.name}`,
      levelsOf(m)?.join(", ") ?? joined(inUnit(m.unit) || "a number", `to ${m.resolution}`),
    ]),
  ),
  ...Object.fromEntries(d.constants.map((c) => [`Constant: ${c.name}`, joined(c.value, inUnit(c.unit))])),
  ...Object.fromEntries(d.derived.map((x) => [`Computed: ${x.name}`, joined(x.expression, inUnit(x.unit))])),
  "What counts": `${primaryOf(d).name}, ${d.better} is better`,
  Attempts: `${short(attemptMethod.labels[d.policy.school])}, n = ${d.policy.n}`,
  ...(d.steps && { Steps: d.steps.join(", ") }),
});

const protocolItems = (e: EditionRow): EditionItem[] =>
  e.protocols.map((p) => ({ key: p.name, name: p.name, facts: protocolFacts(p.definition) }));

const eventItems = (e: EditionRow): EditionItem[] =>
  e.events.map((x) => ({
    key: x.name,
    name: x.name,
    facts: {
      Format: short(eventFormat.labels[x.format]),
      Weight: String(Number(x.weight)),
      "Tested as": x.protocol ?? "",
      Attempts: x.definition?.policy
        ? `${short(attemptMethod.labels[x.definition.policy.school])}, n = ${x.definition.policy.n}`
        : "",
      "Exactly best": x.definition?.target ? joined(x.definition.target, inUnit(x.definition.unit)) : "",
      Points: x.definition?.points ? describeRule(x.definition.points, inUnit(x.definition.unit)) : "",
    },
  }));

const rubricItems = (e: EditionRow): EditionItem[] =>
  e.rubrics.map((r) => ({
    key: r.name,
    name: r.name,
    facts: Object.fromEntries(
      r.definition.criteria.map((c) => [
        c.individual ? `${c.name}, each alone` : c.name,
        `weight ${c.weight}: ${c.levels.map((l) => joined(l.points, l.descriptor)).join(" · ")}`,
      ]),
    ),
  }));

/** What a rule of points measures, and its unit, as the edition calls them. */
function measured(m: GradedMeasure, e: EditionRow): readonly [name: string, unit: string] {
  if ("overall" in m) return ["place in the whole contest", ""];
  if ("recorded" in m) return [m.recorded, m.recorded === "mass" ? "kg" : e.currency];
  if ("event" in m) {
    const event = e.events.find((x) => x.id === m.event);
    return [event?.name ?? "", inUnit(event?.definition?.unit ?? "")];
  }
  const of = e.protocols.find((p) => p.id === m.protocol);
  const channel = of && channelsOf(of.definition).find((c) => c.key === m.channel);
  return channel
    ? [`${channel.name}, ${of.name}, ${gradedBuild.labels[m.build ?? "newest"]}`, inUnit(channel.unit)]
    : ["", ""];
}

function sourceFacts(source: ComponentSource, e: EditionRow): Record<string, string> {
  const from = { From: componentSource.labels[source.kind] };
  switch (source.kind) {
    case "points": {
      const [what, unit] = measured(source.measure, e);
      return { ...from, Measured: what, Points: describeRule(source.rule, unit), "Full marks": source.full };
    }
    case "rubric":
    case "individual":
      return { ...from, Review: source.review };
    case "milestone":
      return { ...from, Milestone: e.milestones.find((m) => m.id === source.milestone)?.title ?? "" };
    case "notebook":
      return { ...from, "An entry every": `${source.every} class sessions` };
    case "coverage":
    case "entered":
      return from;
  }
}

const gradeItems = (e: EditionRow): EditionItem[] =>
  e.scheme
    ? [
        {
          key: "",
          name: "The whole grade",
          facts: {
            Rounded: `to ${e.scheme.decimals} decimals, ${short(rounding.labels[e.scheme.rounding ?? "half up"])}`,
            "Peer factor": e.scheme.peers ? `${e.scheme.peers.low} to ${e.scheme.peers.high}` : "",
            Letters: (e.scheme.letters ?? []).map((l) => `${l.letter} from ${l.from}`).join(", "),
            "At most": e.scheme.most ?? "",
          },
        },
        ...outlineOf(e.scheme.components).map((c) => ({
          key: c.key,
          name: c.name,
          facts: {
            Weight: c.weight,
            "Times the peer factor": c.peer ? "yes" : "",
            ...("source" in c ? sourceFacts(c.source, e) : { "Left out of the lowest": c.drop ? String(c.drop) : "" }),
          },
        })),
      ]
    : [];

const ruleItems = (e: EditionRow): EditionItem[] =>
  rulesWithNumbers(e.brief).map((r) => ({ key: r.key, name: r.text, facts: { Rule: r.text } }));

/** What changed from one edition to another, by what it is of; how it is marked is the instructors' alone. */
export const editionChanges = (
  before: EditionRow,
  after: EditionRow,
  staff: boolean,
): readonly { title: string; path: string; changes: EditionChange[]; same: number }[] =>
  [
    { title: "Rules with numbers", path: "/brief", of: ruleItems },
    { title: "Requirements", path: "/needs", of: requirementItems },
    { title: "Protocols", path: "/bench/protocols", of: protocolItems },
    { title: "Events", path: "/contest", of: eventItems },
    ...(staff
      ? [
          { title: "Rubrics", path: "/reviews", of: rubricItems },
          { title: "What is graded", path: "/grades", of: gradeItems },
        ]
      : []),
  ].map(({ of, ...x }) => ({ ...x, ...changesBetween(of(before), of(after)) }));

/** How much came of an edition, a line a count. */
export const editionCounts: readonly { label: string; of: (e: EditionRow) => string }[] = [
  { label: "Teams", of: (e) => String(e.teams) },
  { label: "Students", of: (e) => String(e.students) },
  { label: "Builds", of: (e) => String(e.builds) },
  { label: "Builds a team", of: (e) => (e.teams ? (e.builds / e.teams).toFixed(1) : "–") },
  { label: "Runs that count", of: (e) => String(e.runs) },
  { label: "Void runs", of: (e) => String(e.aside) },
  { label: "Failures answered", of: (e) => `${e.answered} of ${e.failures}` },
];

/** The best and the median of the builds' bests of each edition in a measure. */
export interface MeasureLine {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly of: Readonly<Record<string, { best: string; by: string; median: string; builds: number }>>;
}

/** What was reached, a line a measure and a column an edition; measures that nobody has reached are left out. */
export function measureLines(
  lines: readonly { protocol: Protocol; channel: ReturnType<typeof channelsOf>[number] }[],
  bests: readonly BuildBest[],
): MeasureLine[] {
  return lines.flatMap(({ protocol, channel }): MeasureLine[] => {
    const mine = bests.filter((b) => b.protocol === protocol.name && b.key === channel.key);
    if (!mine.length) return [];
    const sign = protocol.definition.better === "more" ? -1 : 1;
    const of = [...new Set(mine.map((b) => b.projectId as string))].map((id) => {
      const own = mine.filter((b) => b.projectId === id).sort((a, b) => sign * (a.value - b.value));
      const middle = median(own.map((b) => b.value));
      return [
        id,
        {
          best: showIn(channel, own[0]!.value, 2),
          by: `${own[0]!.team} G${own[0]!.number}`,
          median: channel.levels ? levelName(channel.levels, Math.round(middle)) : showIn(channel, middle, 2),
          builds: own.length,
        },
      ] as const;
    });
    return [
      { key: `${protocol.id}.${channel.key}`, name: channel.name, unit: channel.unit, of: Object.fromEntries(of) },
    ];
  });
}
