import * as yup from "yup";
import { templateKind } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";
import { newProject } from "@/stages/plan/schema";

/** A new project that begins with one of the kinds, or with a file, or with nothing. */
export const fromTemplate = newProject.shape({
  template: c.oneOf(templateKind).optional(),
  file: yup.string().max(2_000_000, "A template is at most 2 MB.").optional(),
});
