import * as yup from "yup";
import { attendanceState } from "@/core/vocabulary/classroom";
import { flagKind } from "@/core/vocabulary/flags";
import * as c from "@/platform/schema/fields";

/** A reason to look at a team, looked at and put aside, with what is said of it. */
export const flagAside = yup.object({
  teamId: c.id(),
  kind: c.oneOf(flagKind).required(),
  about: c.optionalText(400),
  size: c.whole(0, 100_000).default(0),
  reason: c.text(500),
  note: c.text(300),
});

/** A section's class of a day. */
const classOn = {
  projectId: c.id(),
  sectionId: c.id(),
  onDate: c.date(),
};

/** What a class is for, and its course: a part a line, minutes first. */
export const classPlan = yup.object({
  ...classOn,
  /** 0 where nothing was written of it yet. */
  version: c.version(),
  purpose: c.optionalText(400),
  agenda: c.optionalText(2000),
});

/** What was seen in a class. */
export const classRemark = yup.object({ ...classOn, version: c.version(), remark: c.optionalText(2000) });

/** Begins a class, or takes back that it began. */
export const classBegun = yup.object({ ...classOn, begun: yup.boolean().required() });

/** Says that it was noted who is there, or that it was not. */
export const attendanceTaken = yup.object({ ...classOn, taken: yup.boolean().required() });

/** Where a student was; empty: in class from its beginning to its end. */
export const attendanceMark = yup.object({
  ...classOn,
  personId: c.id(),
  state: c.oneOf(attendanceState).optional(),
  minutes: c.whole(1, 600).optional(),
});
