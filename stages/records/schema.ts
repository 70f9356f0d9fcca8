import * as yup from "yup";
import * as c from "@/platform/schema/fields";

/** A finished project is opened again for a reason. */
export const reopen = yup.object({ projectId: c.id(), reason: c.text(300) });

export const edition = yup.object({
  projectId: c.id(),
  title: c.text(120),
  startsOn: c.date(),
  endsOn: c.date(),
  eventOn: c.optionalDate(),
});
