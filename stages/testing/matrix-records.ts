import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";
import { award } from "./world-records";

const staff: Role[] = ["owner", "co"];
const team: Role[] = ["owner", "co", "teammate"];

/** The commands of the record that is kept, for the matrix of permissions. */
export const records: Record<string, Line> = {
  saveArtefact: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, id: randomUUID(), buildId: w.build, name: "Pump B", place: "Shelf 2" }),
  },
  lendArtefact: {
    may: staff,
    // It is lent already: whoever may is told so.
    input: (w) => ({ id: randomUUID(), artefactId: w.model, lentTo: "Section 5" }),
  },
  returnArtefact: { may: staff, input: (w) => ({ id: w.loan, version: 1, back: true }) },
  scrapArtefact: { may: staff, input: (w) => ({ id: w.model, version: 1, why: "Broken" }) },
  withdrawArtefact: { may: staff, input: (w) => ({ id: w.model }) },
  withdrawLoan: { may: staff, input: (w) => ({ id: w.loan }) },
  saveGuide: { may: team, input: (w) => ({ id: randomUUID(), buildId: w.build, title: "Again", draft: true }) },
  saveGuideStep: { may: team, input: (w) => ({ id: randomUUID(), guideId: w.guide, what: "Sand the edge" }) },
  moveGuideStep: { may: team, input: (w) => ({ id: w.second, up: true }) },
  withdrawGuide: { may: team, input: (w) => ({ id: w.guide, reason: "Another build" }) },
  withdrawGuideStep: { may: team, input: (w) => ({ id: w.step }) },
  giveHonours: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  saveHonour: {
    may: staff,
    input: (w) => ({
      ...award,
      title: "Steadiest",
      id: randomUUID(),
      projectId: w.projectId,
      teamId: w.a,
      givenOn: "2027-03-02",
    }),
  },
  withdrawHonour: { may: staff, input: (w) => ({ id: w.honour }) },
};
