import * as yup from "yup";
import * as c from "@/platform/schema/fields";
import { pick, whole } from "@/platform/schema/fields";

export const settings = yup.object({
  projectId: c.id(),
  conceptsOpen: yup.boolean().optional(),
  conceptSchool: pick("client", "panel", "vote", "weighted", "datum").optional(),
  teamSchool: pick("idea", "draw", "self", "assigned", "solver").optional(),
  teamMin: whole(1, 12).optional(),
  teamMax: whole(1, 12)
    .optional()
    .test(
      "order",
      "The largest size lies below the smallest.",
      (v, x) => v === undefined || x.parent.teamMin === undefined || v >= x.parent.teamMin,
    ),
  gateStrictness: pick("warn", "block", "none").optional(),
  shareSchool: pick("number", "role", "none").optional(),
});
