import * as yup from "yup";
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
