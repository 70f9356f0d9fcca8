import * as yup from "yup";
import { editionPart } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";

/** A finished project is opened again for a reason. */
export const reopen = yup.object({ projectId: c.id(), reason: c.text(300) });

export const edition = yup.object({
  projectId: c.id(),
  title: c.text(120),
  startsOn: c.date(),
  endsOn: c.date(),
  eventOn: c.optionalDate(),
  parts: yup
    .array(c.oneOf(editionPart).required())
    .default(() => [...editionPart.values])
    .test(
      "protocols",
      "Requirements, events and grades lean on the protocols: carry these too, or leave the events out.",
      (v) => !v?.includes("events") || v.includes("protocols"),
    ),
});

/** Put away, or taken out again. */
export const archive = yup.object({ projectId: c.id(), away: yup.boolean().required() });

/** The title is written to confirm. */
export const deletion = yup.object({ projectId: c.id(), confirm: yup.string().max(200).required() });
