import * as yup from "yup";
import { fromSi, parseQuantity } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import { isDate } from "@/core/sessions/date";
import type { Vocabulary } from "@/core/vocabulary/vocabulary";
import { idPattern } from "@/platform/db/id";

yup.setLocale({
  mixed: {
    required: "This is needed.",
    notType: ({ type }) => (type === "number" ? "Write a number." : "This cannot be read."),
    oneOf: "Choose one of the list.",
  },
  string: {
    max: ({ max }) => `At most ${max} characters.`,
    email: "Write an email address, for example name@school.example.",
  },
  number: {
    min: ({ min }) => `At least ${min}.`,
    max: ({ max }) => `At most ${max}.`,
    integer: "Write a whole number.",
  },
  array: { min: ({ min }) => `At least ${min}.`, max: ({ max }) => `At most ${max}.` },
});

const unknown = "This record cannot be found.";

export const id = () => yup.string().required().matches(idPattern, unknown);

export const optionalId = () =>
  yup
    .string()
    .transform((v) => v || undefined)
    .optional()
    .matches(idPattern, unknown);

export const text = (max = 200) => yup.string().trim().max(max).required();

export const optionalText = (max = 4000) => yup.string().trim().max(max).default("");

/** A picture as base64, as it was chosen. */
export const picture = () =>
  yup.string().max(40_000_000, "The photo is larger than 28 MB. Send a smaller one.").required("Choose a photo.");

export const version = () => yup.number().integer().required();

export const date = () =>
  yup
    .string()
    .trim()
    .required()
    .test("date", "Write a date as YYYY-MM-DD.", (v) => isDate(v ?? ""));

export const optionalDate = () =>
  yup
    .string()
    .trim()
    .transform((v) => v || undefined)
    .optional()
    .test("date", "Write a date as YYYY-MM-DD.", (v) => v === undefined || isDate(v));

const readable = (unit: string) => (v: string | undefined, c: yup.TestContext) => {
  if (!v) return true;
  const parsed = parseQuantity(v, unit);
  return parsed.ok || c.createError({ message: parsed.message });
};

/** A quantity as typed, checked against a unit; empty is allowed. */
export const quantity = (unit: string) => yup.string().trim().default("").test("quantity", "", readable(unit));

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

export const sides = (unit = "mm") =>
  yup
    .string()
    .trim()
    .default("")
    .test("sides", `Write three sides, for example 600 × 400 × 400 ${unit}.`, (v) => !v || readSides(v, unit) !== null);

/** Readings as typed, by symbol. */
export const typedReadings = () =>
  yup
    .mixed<Record<string, string>>(
      (v): v is Record<string, string> =>
        typeof v === "object" &&
        v !== null &&
        !Array.isArray(v) &&
        Object.keys(v).length <= 40 &&
        Object.values(v).every((x) => typeof x === "string" && x.length <= 60),
    )
    .default({});

/** One of a vocabulary's values; `also` allows a few besides, for example nothing. */
export const oneOf = <V extends string, A extends string = never>(list: Vocabulary<V>, ...also: A[]) =>
  yup.mixed<V | A>().oneOf([...list.values, ...also]);

export const ids = (max = 60) => yup.array(id()).max(max).default([]);

export const whole = (min: number, max: number) => yup.number().integer().min(min).max(max);

export const byId = yup.object({ id: id() });

export const decimal = () =>
  yup
    .string()
    .trim()
    .required()
    .max(40)
    .matches(/^-?\d+(\.\d+)?$/, "Write a number, for example 7.5.");

export const optionalDecimal = () =>
  yup
    .string()
    .trim()
    .transform((v) => v || undefined)
    .optional()
    .max(40)
    .matches(/^-?\d+(\.\d+)?$/, "Write a number, for example 7.5.");
