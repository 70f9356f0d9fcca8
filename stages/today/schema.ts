import * as yup from "yup";
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
