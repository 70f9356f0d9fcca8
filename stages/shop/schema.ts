import * as yup from "yup";
import { bookingOutcome, incidentKind, settingOutcome } from "@/core/vocabulary/shop";
import * as c from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";

export const tool = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  caution: c.optionalText(400),
  /** The school's own rules and licensed people, named first. */
  rules: c.optionalText(400),
  /** Who may train for it. */
  trainers: c.optionalText(200),
  place: c.optionalText(80),
  /** How many months a training holds; 0 where it does not end. */
  months: c.whole(0, 60).default(0),
  /** Teams share it and ask for time at it. */
  shared: yup.boolean().default(false),
  /** What is looked at each day before it runs, one a line. */
  checks: c.optionalText(1000),
});

export const toolSign = yup.object({ toolId: c.id(), personId: c.id(), on: yup.boolean().required() });

const tried = {
  machine: c.text(80),
  material: c.text(80),
  thickness: q.quantity("mm"),
  settings: c.text(300),
  outcome: c.oneOf(settingOutcome).required(),
  seen: c.optionalText(300),
};

/** What was tried at a machine; its id is made where it is pressed: pressed twice it is one. */
export const machineSetting = yup.object({ id: c.id(), projectId: c.id(), ...tried });

export const editSetting = yup.object({ id: c.id(), version: c.version(), ...tried });

const minutes = () => c.whole(1, 600).required();

const asked = {
  what: c.text(120),
  material: c.optionalText(120),
  once: yup.boolean().default(false),
  minutes: minutes(),
  needBy: c.date(),
  operatorId: c.optionalId(),
  pieceId: c.optionalId(),
};

/** A time at a machine that is asked for; its id is made where it is pressed. */
export const booking = yup.object({ id: c.id(), toolId: c.id(), teamId: c.id(), ...asked });

export const editBooking = yup.object({ id: c.id(), version: c.version(), ...asked });

/** Where a booking stands: a section's session of a day; without a time it waits again. */
export const placeBooking = yup.object({
  id: c.id(),
  version: c.version(),
  /** Section, day and period, as the week names its sessions. */
  time: c.optionalText(80),
  starts: c.whole(0, 600).default(0),
});

export const planQueue = yup.object({ toolId: c.id() });

export const startBooking = yup.object({ id: c.id(), version: c.version() });

export const endBooking = yup.object({
  id: c.id(),
  version: c.version(),
  used: c.whole(1, 1440).required(),
  outcome: c.oneOf(bookingOutcome).required(),
  seen: c.optionalText(300),
});

/** What was looked at before a machine ran today: every line of its list. */
export const machineCheck = yup.object({
  id: c.id(),
  toolId: c.id(),
  lines: yup.array(c.text(200)).max(20).default([]),
});

const happened = {
  toolId: c.optionalId(),
  kind: c.oneOf(incidentKind).required(),
  onDate: c.date(),
  place: c.optionalText(80),
  what: c.text(2000),
  done: c.optionalText(1000),
};

export const incident = yup.object({ id: c.id(), projectId: c.id(), ...happened });

export const editIncident = yup.object({
  id: c.id(),
  version: c.version(),
  ...happened,
  told: c.optionalText(500),
  changed: c.optionalText(1000),
});

export const closeIncident = yup.object({ id: c.id(), version: c.version(), closed: yup.boolean().required() });
