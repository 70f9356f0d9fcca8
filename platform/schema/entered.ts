// Quantities as they were typed: read, kept beside their exact values, and shown again as typed.
import { fromSi, parseQuantity } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";

/** The SI decimal text of a quantity that its schema has checked; null when it was left empty. */
export function siOrNull(textTyped: string | undefined, unit: string): string | null {
  if (!textTyped) return null;
  const parsed = parseQuantity(textTyped, unit);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.quantity.si;
}

/** Lengths typed as `600 × 400 mm`, in metres; null when they cannot be read. The last one's unit is for all. */
export function readLengths(typed: string, unit: string): string[] | null {
  const parts = typed.trim().split(/\s*[x×*]\s*/i);
  const unitOf = (p: string) => /[\p{L}"'″′].*$/u.exec(p)?.[0];
  const lastUnit = unitOf(parts.at(-1)!) ?? unit;
  const read = parts.map((p) => parseQuantity(unitOf(p) ? p : `${p} ${lastUnit}`, unit));
  return read.every((r) => r.ok) ? read.map((r) => (r.ok ? r.quantity.si : "")) : null;
}

/** Three sides typed as `600 × 400 × 400 mm`; null when it cannot be read. */
export function readSides(typed: string, unit: string): string[] | null {
  const read = readLengths(typed, unit);
  return read?.length === 3 ? read : null;
}

/** What was typed for a mass, a cost and a size: kept as it was typed, beside the exact values. */
export interface Entered {
  readonly mass?: string;
  readonly cost?: string;
  readonly sides?: string;
}

/** The three as typed, those that were left empty aside. */
export const entered = (input: { mass?: string; cost?: string; sides?: string }): Entered =>
  Object.fromEntries((["mass", "cost", "sides"] as const).flatMap((k) => (input[k] ? [[k, input[k]] as const] : [])));

/** What was typed, where it still means the exact value; else null. */
export function stillMeans(text: string | undefined, unit: string, si: string | null): string | null {
  const read = text ? parseQuantity(text, unit) : null;
  return read?.ok && si !== null && Number(read.quantity.si) === Number(si) ? text! : null;
}

/** What a form shows of them: as typed where that still means the exact value, else the value in the project's unit. */
export const asEntered = (
  x: { mass: string | null; cost: string | null; sides: readonly string[] | null; entered: unknown },
  units: ProjectUnits,
): Required<Entered> => {
  const typed = x.entered as Entered;
  const sides = typed.sides && readSides(typed.sides, units.side);
  const exact = (si: string, unit: string) => fromSi(si, unit).toString();
  return {
    mass:
      stillMeans(typed.mass, units.mass, x.mass) ??
      (x.mass === null ? "" : `${exact(x.mass, units.mass)} ${units.mass}`),
    cost: stillMeans(typed.cost, "1", x.cost) ?? (x.cost === null ? "" : fromSi(x.cost, "1").toString()),
    sides:
      sides && x.sides && sides.map(Number).join() === x.sides.map(Number).join()
        ? typed.sides!
        : x.sides
          ? `${x.sides.map((s) => exact(s, units.side)).join(" × ")} ${units.side}`
          : "",
  };
};
