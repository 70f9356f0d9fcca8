import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";
import { calculation } from "./world";

const staff: Role[] = ["owner", "co"];
const team: Role[] = ["owner", "co", "teammate"];

/** The commands of the handbook and of reading notebooks, for the matrix of permissions. */
export const handbook: Record<string, Line> = {
  attachUse: { may: team, input: (w) => ({ ...calculation, id: randomUUID(), kind: "build", targetId: w.build }) },
  changeUse: {
    may: team,
    input: (w) => ({ id: w.use, version: 1, units: "metric", inputs: { F1: "45" }, note: "heavier" }),
  },
  // The exercise of the sender is not the one that is made: it is refused for that, not for permission.
  answerExercise: {
    may: ["owner", "co", "teammate", "other team"],
    input: (w) => ({
      id: randomUUID(),
      projectId: w.projectId,
      kind: "round",
      seed: "1",
      seen: "another",
      given: "1",
    }),
  },
  seeEntry: { may: staff, input: (w) => ({ entryId: w.entryOfNotebook, number: 1 }) },
  remarkOnEntry: { may: staff, input: (w) => ({ id: randomUUID(), entryId: w.entryOfNotebook, text: "Well seen" }) },
  editRemark: { may: staff, input: (w) => ({ id: w.remark, version: 1, text: "Where?" }) },
  withdrawRemark: { may: staff, input: (w) => ({ id: w.remark }) },
  askCountersign: {
    may: ["teammate"],
    input: (w) => ({ id: randomUUID(), entryId: w.entryOfNotebook, partnerId: w.students[2]! }),
  },
  countersign: { may: ["other team"], input: (w) => ({ id: w.sign, number: 1 }) },
  withdrawCountersign: { may: ["teammate"], input: (w) => ({ id: w.sign }) },
  withdrawUse: { may: team, input: (w) => ({ id: w.use }) },
};
