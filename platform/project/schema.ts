import * as yup from "yup";
import { donatedMethod } from "@/core/vocabulary/builds";
import { countersignMethod } from "@/core/vocabulary/classroom";
import { conceptMethod } from "@/core/vocabulary/concepts";
import { dateStyle, gateStrictness, unitSystem } from "@/core/vocabulary/project";
import { trainingStrictness } from "@/core/vocabulary/shop";
import { shareMethod, teamMethod } from "@/core/vocabulary/teams";
import * as c from "@/platform/schema/fields";
import { whole } from "@/platform/schema/fields";

export const settings = yup.object({
  projectId: c.id(),
  conceptsOpen: yup.boolean().optional(),
  conceptSchool: c.oneOf(conceptMethod).optional(),
  teamSchool: c.oneOf(teamMethod).optional(),
  teamMin: whole(1, 12).optional(),
  teamMax: whole(1, 12)
    .optional()
    .test(
      "order",
      "The largest size lies below the smallest.",
      (v, x) => v === undefined || x.parent.teamMin === undefined || v >= x.parent.teamMin,
    ),
  gateStrictness: c.oneOf(gateStrictness).optional(),
  trainingStrictness: c.oneOf(trainingStrictness).optional(),
  sessionMinutes: whole(10, 300).optional(),
  shareSchool: c.oneOf(shareMethod).optional(),
  units: c.oneOf(unitSystem).optional(),
  dates: c.oneOf(dateStyle).optional(),
  donated: c.oneOf(donatedMethod).optional(),
  /** Whether entries of notebooks are countersigned by a partner. */
  countersign: c.oneOf(countersignMethod).optional(),
  individualMin: whole(0, 10).optional(),
});
