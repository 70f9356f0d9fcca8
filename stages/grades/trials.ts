import "server-only";
import type { InferType } from "yup";
import { db } from "@/platform/db/db";
import type { Trial } from "@/platform/registry/stage";
import { gradeActs } from "./acts";
import { effectOf, readScheme } from "./queries/effect";
import { definition } from "./schema";

/** What a scheme would do to the class, while it is written. */
export const schemeTrial: Trial = {
  act: gradeActs.edit,
  schema: definition,
  async make({ projectId, today }, sent: InferType<typeof definition>) {
    return effectOf(projectId, today, await readScheme(db(), projectId, sent));
  },
};
