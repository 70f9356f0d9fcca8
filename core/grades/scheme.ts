import Decimal from "decimal.js";
import type { PointsRule } from "../points/rule";
import type { GradedBuild, Rounding } from "../vocabulary/grades";
import type { Working } from "../working/working";
import { checkLateRule, type LateRule } from "./late";
import { checkScale, type MarkScale } from "./mark";

/** What a rule of points measures. */
export type GradedMeasure =
  | {
      readonly protocol: string /** of a protocol; without a build the newest */;
      readonly channel: string;
      build?: GradedBuild;
    }
  | { readonly event: string }
  | { /** place in the whole contest */ readonly overall: true }
  | { /** what stands at the newest build that is no mock-up */ readonly recorded: "mass" | "cost" };

/** Where a component's score comes from. */
export type ComponentSource =
  | { kind: "rubric" /** review title */; review: string }
  | { /** criteria by which each member is marked alone */ kind: "individual"; review: string }
  | { kind: "points"; rule: PointsRule /** points that count as full marks */; full: string; measure: GradedMeasure }
  | { kind: "coverage" }
  | { kind: "milestone"; milestone: string }
  | { kind: "notebook" /** class sessions for which one entry is asked */; every: number }
  | { kind: "entered" /** percent where it is not said */; scale?: MarkScale };

interface Part {
  readonly key: string;
  readonly name: string;
  /** At the top percent of the whole, which make 100; in a group parts of the group, in any proportion. */
  readonly weight: string;
  /** Multiplied by the student's peer factor. */
  readonly peer?: boolean;
}

export interface Component extends Part {
  readonly source: ComponentSource;
  readonly late?: LateRule;
}

/** Components that share one weight. */
export interface Group extends Part {
  readonly parts: readonly SchemeNode[];
  /** So many of the lowest that count are left out. */
  readonly drop?: number;
}

export type SchemeNode = Component | Group;

export interface SchemeDefinition {
  readonly components: readonly SchemeNode[];
  /** Decimals of the published grade. */
  readonly decimals: number;
  /** Half up where it is not said. */
  readonly rounding?: Rounding;
  /** Whose ratings make the peer factor, and its caps. */
  readonly peers?: { readonly round: string; readonly low: string; readonly high: string };
  /** Letters with the rounded percent from which they are given, the highest first. */
  readonly letters?: readonly { readonly letter: string; readonly from: string }[];
  /** No grade is above it, in percent. */
  readonly most?: string;
}

/** What is known of one component for one student. */
export type ComponentState =
  | {
      state: "scored";
      /** 0 to 1.2 */
      share: string;
      /** class sessions */
      late?: number;
      /** What a rule turned into points. */
      measured?: { readonly value: string; readonly unit: string };
      working: Working;
    }
  | { state: "not due" | "excused" | "missing"; note: string };

export interface Override {
  /** 0 to 1.2 */
  readonly share: string;
  readonly reason: string;
  readonly by: string;
}

/** How deep groups may lie in each other. */
const DEEPEST = 3;

/**
 * Whether a part of a scheme is a group of parts.
 * @example isGroup({ key: "a", name: "A", weight: "1", parts: [] }) // => true
 */
export const isGroup = (part: SchemeNode): part is Group => "parts" in part;

/**
 * The components of a scheme, without its groups, in order.
 * @example leavesOf([{ key: "g", name: "G", weight: "1", parts: [] }]) // => []
 */
export const leavesOf = (parts: readonly SchemeNode[]): Component[] =>
  parts.flatMap((p) => (isGroup(p) ? leavesOf(p.parts) : [p]));

/**
 * A scheme's parts with something done to each component; groups stay.
 * @example mapLeaves([{ key: "g", name: "G", weight: "1", parts: [] }], (c) => c)
 * // => [{ key: "g", name: "G", weight: "1", parts: [] }]
 */
export const mapLeaves = (parts: readonly SchemeNode[], change: (c: Component) => Component): SchemeNode[] =>
  parts.map((p) => (isGroup(p) ? { ...p, parts: mapLeaves(p.parts, change) } : change(p)));

/**
 * A scheme's parts with no peer factor on any: the ratings of a class stay with that class.
 * @example withoutPeers([{ key: "g", name: "G", weight: "1", peer: true, parts: [] }])
 * // => [{ key: "g", name: "G", weight: "1", parts: [] }]
 */
export const withoutPeers = (parts: readonly SchemeNode[]): SchemeNode[] =>
  parts.map(({ peer: _, ...p }) => (isGroup(p) ? { ...p, parts: withoutPeers(p.parts) } : p));

/**
 * The scale on which a component's marks are typed: its own, or percent.
 * @example scaleOf({ key: "a", name: "Review", weight: "60", source: { kind: "entered" } }) // => { kind: "percent" }
 */
export function scaleOf(c: Component): MarkScale {
  return (c.source.kind === "entered" && c.source.scale) || { kind: "percent" };
}

const isNumber = (text: string) => /^\d+(\.\d+)?$/.test(text);
const allOf = (parts: readonly SchemeNode[]): SchemeNode[] =>
  parts.flatMap((p) => (isGroup(p) ? [p, ...allOf(p.parts)] : [p]));
const depthOf = (parts: readonly SchemeNode[]): number =>
  1 + Math.max(0, ...parts.map((p) => (isGroup(p) ? depthOf(p.parts) : 0)));

function checkPart(p: SchemeNode): string[] {
  if (!isNumber(p.weight) || Number(p.weight) <= 0) return [`${p.name}: the weight must be a number above zero.`];
  if (!isGroup(p))
    return [
      ...(p.source.kind === "entered" && p.source.scale ? checkScale(p.source.scale) : []),
      ...(p.source.kind === "notebook" && !(Number.isInteger(p.source.every) && p.source.every > 0)
        ? ["For how many class sessions is one entry asked? Write a whole number from 1."]
        : []),
      ...(p.late ? checkLateRule(p.late) : []),
    ].map((w) => `${p.name}: ${w}`);
  if (!p.parts.length) return [`${p.name}: a group has at least one component.`];
  const drop = p.drop ?? 0;
  return Number.isInteger(drop) && drop >= 0 && drop < p.parts.length
    ? []
    : [`${p.name}: of ${p.parts.length} at most ${p.parts.length - 1} can be left out.`];
}

function checkPeers({ peers, components }: SchemeDefinition): string[] {
  const wanted = allOf(components).filter((p) => p.peer);
  const nested = allOf(components).filter((p) => isGroup(p) && p.peer && allOf(p.parts).some((x) => x.peer));
  if (nested.length) return nested.map((p) => `${p.name}: the peer factor would be taken twice in this group.`);
  if (!peers) return wanted.length ? [`${wanted[0]!.name}: choose the rating that makes the peer factor.`] : [];
  const [low, high] = [Number(peers.low), Number(peers.high)];
  return isNumber(peers.low) && isNumber(peers.high) && low <= 1 && high >= 1 && high <= 2
    ? []
    : ["The caps of the peer factor lie around 1: the lower from 0 to 1, the upper from 1 to 2."];
}

function checkLetters(letters: SchemeDefinition["letters"] = []): string[] {
  const wrong = letters.find((l) => !isNumber(l.from) || Number(l.from) > 120);
  if (wrong) return [`${wrong.letter}: write the percent from which it is given, from 0 to 120.`];
  const unordered = letters.find((l, i) => i > 0 && Number(l.from) >= Number(letters[i - 1]!.from));
  return unordered ? [`${unordered.letter}: letters stand from the highest percent down.`] : [];
}

/**
 * What is wrong with a scheme, in words; empty when it can be used.
 * @example
 * checkScheme({
 *   decimals: 1,
 *   components: [{ key: "a", name: "Review", weight: "60", source: { kind: "entered" } }],
 * })
 * // => ["The weights make 60, not 100."]
 */
export function checkScheme(s: SchemeDefinition): string[] {
  if (s.components.length === 0) return ["A scheme has at least one component."];
  const all = allOf(s.components);
  const wrong = all.flatMap(checkPart);
  if (wrong.length) return wrong;
  const keys = all.map((p) => p.key);
  const sum = s.components.reduce((t, c) => t.plus(c.weight), new Decimal(0));
  return [
    ...(new Set(keys).size < keys.length ? ["Two components have the same key."] : []),
    ...(depthOf(s.components) > DEEPEST ? [`Groups lie at most ${DEEPEST - 1} deep.`] : []),
    ...(sum.eq(100) ? [] : [`The weights make ${sum}, not 100.`]),
    ...checkPeers(s),
    ...checkLetters(s.letters),
    ...(s.most === undefined || Number(s.most) > 0 ? [] : ["The highest grade is a percent above zero."]),
  ];
}
