import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";
import { calculation } from "./world";

const team: Role[] = ["owner", "co", "teammate"];

/** The commands of the handbook, for the matrix of permissions. */
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
  withdrawUse: { may: team, input: (w) => ({ id: w.use }) },
};
