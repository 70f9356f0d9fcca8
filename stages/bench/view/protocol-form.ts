import { runMeasure } from "@/core/needs/requirement";
import type { Measure, ProtocolDefinition } from "@/core/run/protocol";
import { exactly } from "@/core/run/reading";
import type { Take } from "@/core/series/measure";
import { linesOf } from "@/core/text/lines";
import type { CrossingWay, ReadingKind, TakeRule } from "@/core/vocabulary/runs";

/** A reading as it stands in the form: its kind always said, its levels in a line. */
export interface TypedMeasure extends Omit<Measure, "levels" | "kind" | "take"> {
  readonly kind: ReadingKind;
  readonly levelsText: string;
  /** By which rule it is taken from a series; empty where it is typed. */
  readonly taken: TakeRule | "";
  readonly takenUnit: string;
  readonly takenChannel: string;
  readonly takenStretch: string;
  readonly takenLevel: string;
  readonly takenWay: CrossingWay;
  readonly takenTowards: string;
}

/** A protocol as it is typed: its cautions and its steps a line each. */
export interface TypedProtocol {
  readonly definition: Omit<ProtocolDefinition, "measures"> & { readonly measures: readonly TypedMeasure[] };
  readonly safetyText: string;
  readonly stepsText: string;
}

/** What the form of a protocol starts from. */
export function typedProtocol(d: ProtocolDefinition): TypedProtocol {
  return {
    definition: {
      ...d,
      measures: d.measures.map(({ levels, kind = "number", take, ...m }) => ({
        ...m,
        kind,
        levelsText: (levels ?? []).join(", "),
        taken: take?.rule ?? "",
        takenUnit: take?.unit ?? "",
        takenChannel: take?.channel ?? "",
        takenStretch: take?.stretch ?? "",
        takenLevel: take?.level ?? "",
        takenWay: take?.way ?? "up",
        takenTowards: take?.towards ?? "",
      })),
    },
    safetyText: d.safety.join("\n"),
    stepsText: (d.steps ?? []).join("\n"),
  };
}

/** How a reading is taken from a series; nothing where it is typed. */
function takeOf(typed: TypedMeasure): Take | null {
  const { taken, takenUnit, takenChannel, takenStretch, takenLevel, takenWay, takenTowards } = typed;
  if (!taken) return null;
  const crosses = taken === "crossing" || taken === "beyond";
  const channel = takenChannel.trim();
  return {
    rule: taken,
    unit: takenUnit.trim() || (typed.kind === "count" ? exactly.unit : typed.unit),
    ...(channel && { channel }),
    ...((taken === "mean" || (taken === "crossing" && takenStretch)) && { stretch: takenStretch }),
    ...(crosses && { level: takenLevel, way: takenWay }),
    ...(taken === "crossing" && takenTowards && { towards: takenTowards }),
  };
}

/** A reading from its row of the form; what is not a number has neither unit nor resolution of its own. */
function measureOf(typed: TypedMeasure): Measure {
  const { key, name, kind, levelsText, unit, resolution, u, min, max } = typed;
  const take = takeOf(typed);
  const isTaken = take && { take };
  if (kind === "number") return { key, name, unit, resolution, u, min, max, ...isTaken };
  if (kind === "count") return { key, name, ...exactly, kind, min, max, ...isTaken };
  const levels = levelsText
    .split(/[,;\n]/)
    .map((l) => l.trim())
    .filter(Boolean);
  return { key, name, ...exactly, kind, ...(kind === "level" && { levels }) };
}

/** The protocol that is sent. */
export function definitionOf(typed: TypedProtocol): ProtocolDefinition {
  return {
    ...typed.definition,
    measures: typed.definition.measures.map(measureOf),
    safety: linesOf(typed.safetyText),
    steps: linesOf(typed.stepsText),
  };
}

/** What a new version of a protocol does to what is on record: runs that compare no more, verdicts that turn stale. */
export function consequenceOf(
  p: { readonly id: string; readonly number: number; readonly runs: number },
  requirements: readonly { readonly code: string; readonly measure: string | null }[],
): string {
  const asking = requirements.filter((r) => runMeasure(r.measure)?.protocol === p.id).map((r) => r.code);
  // Pilot runs, series and events hold a version too.
  const what = p.runs === 0 ? "What is on record leans" : `${p.runs} ${p.runs === 1 ? "run leans" : "runs lean"}`;
  const runs = `${what} on version ${p.number}`;
  const verdicts = asking.length
    ? `; verdicts on ${asking.join(", ")} that lean on them turn stale until they are run again or kept with a reason`
    : "";
  return (
    `${runs}, so it stays as it was and a change makes version ${p.number + 1}. ` +
    `Runs of the old version are not compared with new ones${verdicts}.`
  );
}
