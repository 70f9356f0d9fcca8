import * as yup from "yup";
import { clockIn } from "@/core/contest/programme";
import { readHours } from "@/core/slots/hours";
import { slotStep } from "@/core/vocabulary/reviews";
import * as c from "@/platform/schema/fields";

/** Hours of a day as people write them: nothing for all of it, a dash for none. */
const hours = () =>
  yup
    .string()
    .trim()
    .max(120)
    .default("")
    .test("hours", "", (text, context) => {
      try {
        readHours(text ?? "", []);
        return true;
      } catch (error) {
        return context.createError({ message: (error as Error).message });
      }
    });

const dayHours = () =>
  hours().required("Write the hours, like 8:30-10:00.").matches(/\d/, "Write the hours, like 8:30-10:00.");

/** How reviews are put into slots: everybody's hours as they are typed, by day. */
export const slotDefinition = yup.object({
  minutes: yup.number().integer().min(5).max(240).required(),
  change: yup.number().integer().min(0).max(120).required(),
  rooms: yup
    .array(c.text(40))
    .min(1, "Name at least one room.")
    .max(8)
    .required()
    .test("apart", "Two rooms have the same name.", (x) => new Set(x).size === x?.length),
  least: yup.number().integer().min(1).max(12).required(),
  most: yup.number().integer().min(yup.ref("least"), "At least as many as a panel takes.").max(12).required(),
  /** Teams come in the class sessions of their section only. */
  inClass: yup.boolean().default(false),
  days: yup
    .array(yup.object({ day: c.date(), hours: dayHours() }))
    .min(1, "Give at least one day.")
    .max(10)
    .required()
    .test("apart", "A day stands there twice: write its hours in one line, with a comma.", (x) => {
      const days = (x ?? []).map((d) => d.day);
      return new Set(days).size === days.length;
    }),
  reviewers: yup
    .array(yup.object({ name: c.text(80), hours: yup.array(hours()).max(10).default([]) }))
    .min(1, "Name at least one reviewer.")
    .max(24)
    .required()
    .test("apart", "Two reviewers have the same name.", (x) => {
      const names = (x ?? []).map((r) => r.name.toLowerCase());
      return new Set(names).size === names.length;
    }),
});
export type SlotDefinition = yup.InferType<typeof slotDefinition>;

const time = () =>
  yup
    .string()
    .trim()
    .required()
    .test("time", "Write a time like 9:30.", (v) => clockIn(v ?? "") !== null);

const place = { day: c.date(), from: time(), room: yup.number().integer().min(0).max(7).required() };

export const saveSlots = slotDefinition.shape({
  projectId: c.id(),
  title: c.text(80),
  /** 0 where there is no plan yet. */
  version: yup.number().integer().default(0),
  teams: yup
    .array(yup.object({ reviewId: c.id(), hours: yup.array(hours()).max(10).default([]) }))
    .max(60)
    .required(),
  places: yup
    .array(yup.object({ reviewId: c.id(), ...place, reviewers: yup.array(c.text(80)).max(12).required() }))
    .max(60)
    .required(),
});

export const moveSlot = yup.object({ id: c.id(), version: c.version(), ...place });

export const setPanel = yup.object({
  id: c.id(),
  version: c.version(),
  reviewers: yup.array(c.text(80)).min(1, "Somebody has to see the team.").max(12).required(),
});

export const runSlot = yup.object({ id: c.id(), version: c.version(), step: c.oneOf(slotStep).required() });
