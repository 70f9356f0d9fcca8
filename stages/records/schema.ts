import * as yup from "yup";
import * as c from "@/platform/schema/fields";

export const edition = yup.object({
  projectId: c.id(),
  title: c.text(120),
  startsOn: c.date(),
  endsOn: c.date(),
  eventOn: c.optionalDate(),
});
