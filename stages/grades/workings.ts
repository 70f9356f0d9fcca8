import "server-only";
import type { WorkingOf } from "@/platform/registry/stage";
import { gradeActs } from "./acts";
import { gradebook } from "./queries/gradebook";

/** How a grade, or one component of it, came about. */
export const gradeWorking: WorkingOf = {
  act: gradeActs.readAll,
  async make({ projectId, today, which }) {
    const book = await gradebook(projectId, today, { only: which("person") });
    const grade = book.rows.find((r) => r.student.id === which("person"))?.grade;
    const component = which("component");
    if (!grade || !component) return grade?.working ?? null;
    return grade.value.components.find((c) => c.key === component)?.working ?? null;
  },
};
