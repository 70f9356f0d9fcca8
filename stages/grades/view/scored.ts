import Decimal from "decimal.js";
import type { Component, ComponentSource, ComponentState } from "@/core/grades/scheme";
import { applyRule, type RuleContext } from "@/core/points/rule";
import { formatNumber, fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { equation } from "@/core/working/equation";
import { makeWorking, type Working } from "@/core/working/working";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { KeptSummary } from "@/stages/needs/view/kept";
import { summaryOf } from "@/stages/needs/view/verdicts";
import type { Student } from "@/stages/people/queries/students";
import { type World, waiting } from "./world";

type Points = Extract<ComponentSource, { kind: "points" }>;

/** What counts, as it goes into a rule: not rounded. */
const counts = (x: KeptSummary) => new Decimal(x.counted!).toSignificantDigits(15).toString();

/** A value that a rule turns into points: where it is from, and what the rule has to know of the others. */
interface Measured {
  readonly value: string | null;
  readonly unit: string;
  readonly from: Pick<Working, "steps" | "inputs" | "warnings">;
  readonly context?: RuleContext;
}

/** A value as points of the component's full marks. */
function byRule(c: Component, src: Points, { value, unit, from, context }: Measured): ComponentState {
  const full = new Decimal(src.full || "100");
  const points = applyRule(src.rule, value, unit, context);
  if (points.value === null) return waiting("nothing to score yet");
  const share = new Decimal(points.value).div(full);
  const percent = share.times(100).toDecimalPlaces(2).toString();
  return {
    state: "scored",
    share: share.toString(),
    ...(value !== null && { measured: { value, unit } }),
    working: makeWorking({
      ...points.working,
      title: c.name,
      result: percent,
      unit: "%",
      steps: [
        ...from.steps,
        ...points.working.steps,
        `of ${full} points: ${equation([{ of: points.value }, ` ÷ ${full} × 100`], percent, "%")}`,
      ],
      inputs: from.inputs,
      warnings: from.warnings,
    }),
  };
}

/** A team's result of an event of the contest. */
function ofEvent(c: Component, src: Points, eventId: string, student: Student, w: World): ComponentState {
  const event = w.events.find((e) => e.id === eventId);
  const standing = event?.standings.find((x) => event.entries.find((n) => n.id === x.id)?.teamId === student.teamId);
  if (!event || !standing || standing.counted === null)
    return waiting(event ? `${event.name} has no result for the team yet` : "the event is not in the plan (any more)");
  return byRule(c, src, {
    value: standing.counted,
    unit: event.definition.unit,
    from: standing.working,
    context: {
      best: event.standings[0]?.counted ?? undefined,
      place: standing.first!,
      sharing: standing.sharing,
    },
  });
}

/** What stands at the newest build that is no mock-up: that is of other material. */
function ofRecord(c: Component, src: Points, what: "mass" | "cost", student: Student, w: World): ComponentState {
  const build = w.state.builds.findLast(
    (b) => b.teamId === student.teamId && b.stage !== "mock-up" && b[what] !== null,
  );
  if (!build) return waiting(`no build of the team has its ${what} on record yet`);
  const unit = what === "mass" ? w.units.mass : w.units.cost;
  const of = (b: Build) => (what === "mass" ? fromSi(b[what]!, w.units.mass).toString() : b[what]!);
  const all = [...w.state.newest.values()].filter((b) => b[what] !== null).map(of);
  return byRule(c, src, {
    value: of(build),
    unit,
    from: { steps: [`G${build.number}: ${formatNumber(of(build), 3)} ${unit}`], inputs: [], warnings: [] },
    context: { best: all.sort((a, b) => Number(a) - Number(b))[0] },
  });
}

/** The contest's overall place of the team. */
function ofContest(c: Component, src: Points, student: Student, w: World): ComponentState {
  const place = w.overall.get(student.team ?? "");
  if (!place) return waiting("the contest has no place for the team yet");
  return byRule(c, src, { value: null, unit: "", from: place.working, context: place });
}

/** Performance on the bench: of the newest build that has a run that counts, or of the build that earns most. */
function ofBench(
  c: Component,
  src: Points,
  measure: { protocol: string; channel: string; build?: string },
  student: Student,
  w: World,
): ComponentState {
  const protocol = w.state.protocols.find((p) => p.id === measure.protocol);
  const channel = protocol && channelsOf(protocol.definition).find((x) => x.key === measure.channel);
  if (!protocol || !channel) return waiting("the protocol is not there (any more)");
  const best = src.rule.kind === "ratio" ? bestOfClass(w.state, protocol, channel.key) : undefined;
  const tested = w.state.builds
    .filter((x) => x.teamId === student.teamId)
    .reverse()
    .flatMap((b) => {
      const kept = w.state.summary(b.id, protocol.id, channel.key);
      return kept && kept.counted !== null ? [{ b, kept }] : [];
    });
  const scored = (measure.build === "best" ? tested : tested.slice(0, 1)).map(({ b, kept }) => {
    const working = w.facts
      ? summaryOf(w.facts, protocol, b.id, channel.key).working
      : makeWorking({ title: channel.name, result: kept.shown, unit: channel.unit, rule: "" });
    const from = { ...working, steps: [`G${b.number}: ${working.steps[0] ?? ""}`] };
    return byRule(c, src, { value: counts(kept), unit: channel.unit, from, context: { best } });
  });
  const share = (s: ComponentState) => (s.state === "scored" ? Number(s.share) : -1);
  const most = scored.reduce<ComponentState | null>((a, b) => (a && share(a) >= share(b) ? a : b), null);
  return most ?? waiting("no run of the team counts yet");
}

/** Points by a rule, of whatever the component measures. */
export function pointsState(c: Component, src: Points, student: Student, w: World): ComponentState {
  const m = src.measure;
  if ("event" in m && m.event) return ofEvent(c, src, m.event, student, w);
  if ("overall" in m) return ofContest(c, src, student, w);
  if ("recorded" in m) return ofRecord(c, src, m.recorded, student, w);
  return ofBench(c, src, m as { protocol: string; channel: string; build?: string }, student, w);
}

/** The best counted value of all builds in a channel, not rounded. */
export function bestOfClass(state: ProjectState, protocol: Protocol, key: string): string | undefined {
  const all = state.builds.flatMap((b) => {
    const kept = state.summary(b.id, protocol.id, key);
    return kept && kept.counted !== null ? [counts(kept)] : [];
  });
  return all.sort((a, b) => (protocol.definition.better === "more" ? Number(b) - Number(a) : Number(a) - Number(b)))[0];
}
