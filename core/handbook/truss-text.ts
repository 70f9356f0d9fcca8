import { parseQuantity } from "../quantity/quantity";

/** A plane truss as it is typed: texts of a line each. */
export interface Truss {
  /** Name, x, y. */
  readonly joints: string;
  /** Two names. */
  readonly members: string;
  /** Name, and pin or roller. */
  readonly supports: string;
  /** Name, force to the right, force up. */
  readonly loads: string;
}

/** A truss that was read: lengths and forces SI. */
export interface ReadTruss {
  readonly joints: readonly { readonly name: string; readonly x: number; readonly y: number }[];
  readonly members: readonly (readonly [string, string])[];
  readonly supports: readonly { readonly joint: string; readonly pin: boolean }[];
  readonly loads: readonly { readonly joint: string; readonly x: number; readonly y: number }[];
}
export type TrussRead =
  | { readonly ok: true; readonly truss: ReadTruss }
  | { readonly ok: false; readonly field: keyof Truss; readonly message: string };

/**
 * The texts of a truss among what was typed by name; what is not there is empty.
 * @example trussIn({ joints: "A 0 0" }).members // => ""
 */
export const trussIn = (typed: Readonly<Record<string, string>>): Truss => ({
  joints: typed.joints ?? "",
  members: typed.members ?? "",
  supports: typed.supports ?? "",
  loads: typed.loads ?? "",
});

class Wrong extends Error {
  constructor(
    readonly field: keyof Truss,
    message: string,
  ) {
    super(message);
  }
}

const mostJoints = 40;

/**
 * Reads a truss; what cannot be read is named with its line.
 * @param units of lengths and forces that stand without one
 * @example readTruss({ joints: "A 0 0", members: "A B", supports: "A pin", loads: "" }, { length: "mm", force: "N" })
 * // => { ok: false, field: "members", message: "Line 1: there is no joint “B”." }
 */
export function readTruss(typed: Truss, units: { length: string; force: string }): TrussRead {
  const lines = (field: keyof Truss, words: number, like: string) =>
    typed[field].split("\n").flatMap((line, i) => {
      const parts = line.trim().split(/[\s,;]+/);
      if (!line.trim()) return [];
      if (parts.length !== words)
        throw new Wrong(field, `Line ${i + 1}: “${line.trim().slice(0, 40)}” cannot be read. Write it like ${like}.`);
      return [{ parts, at: i + 1 }];
    });
  const quantity = (field: keyof Truss, at: number, text: string, unit: string): number => {
    const read = parseQuantity(text, unit);
    if (!read.ok) throw new Wrong(field, `Line ${at}: ${read.message}`);
    return Number(read.quantity.si);
  };
  try {
    const joints = lines("joints", 3, "A 0 0").map(({ parts: [name, x, y], at }) => ({
      name: name!,
      x: quantity("joints", at, x!, units.length),
      y: quantity("joints", at, y!, units.length),
      at,
    }));
    const twice = joints.find((j, i) => joints.findIndex((k) => k.name === j.name) < i);
    if (twice) throw new Wrong("joints", `Line ${twice.at}: “${twice.name}” stands twice.`);
    if (joints.length > mostJoints) throw new Wrong("joints", `At most ${mostJoints} joints are taken.`);
    const joint = (field: keyof Truss, at: number, name: string) => {
      if (!joints.some((j) => j.name === name)) throw new Wrong(field, `Line ${at}: there is no joint “${name}”.`);
      return name;
    };
    const members = lines("members", 2, "A B").map(({ parts: [a, b], at }) => {
      if (a === b) throw new Wrong("members", `Line ${at}: a member joins two joints.`);
      return [joint("members", at, a!), joint("members", at, b!)] as const;
    });
    const key = ([a, b]: readonly [string, string]) => [a, b].sort().join(" ");
    const again = members.findIndex((m, i) => members.findIndex((n) => key(n) === key(m)) < i);
    if (again >= 0) throw new Wrong("members", `The member ${members[again]!.join("–")} stands twice.`);
    const supports = lines("supports", 2, "A pin").map(({ parts: [name, kind], at }) => {
      if (kind !== "pin" && kind !== "roller")
        throw new Wrong("supports", `Line ${at}: “${kind}” is neither pin nor roller.`);
      return { joint: joint("supports", at, name!), pin: kind === "pin" };
    });
    const loads = lines("loads", 3, "B 0 -100").map(({ parts: [name, x, y], at }) => ({
      joint: joint("loads", at, name!),
      x: quantity("loads", at, x!, units.force),
      y: quantity("loads", at, y!, units.force),
    }));
    return { ok: true, truss: { joints: joints.map(({ at: _, ...j }) => j), members, supports, loads } };
  } catch (error) {
    if (error instanceof Wrong) return { ok: false, field: error.field, message: error.message };
    throw error;
  }
}
