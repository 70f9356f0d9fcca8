import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";
import { chapter, rubric, slotsTyped } from "./world";

const staff: Role[] = ["owner", "co"];

/** The commands of reviews, for the matrix of permissions. */
export const reviews: Record<string, Line> = {
  saveRubric: { may: staff, input: (w) => ({ projectId: w.projectId, name: "R2", criteria: rubric }) },
  planReviews: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      title: "Second",
      heldOn: "2027-03-10",
      rubricId: w.rubricId,
      teamIds: [w.a],
    }),
  },
  submitSheet: {
    may: ["owner", "co", "reviewer"],
    input: (w) => ({ reviewId: w.review, raterName: "R", marks: [{ criterion: "fit", points: "4" }] }),
  },
  decideReview: { may: staff, input: (w) => ({ id: w.review, version: 1, verdict: "go on" }) },
  addAction: { may: staff, input: (w) => ({ reviewId: w.review, what: "Do", dueOn: "2027-03-10" }) },
  closeAction: { may: [...staff, "teammate"], input: (w) => ({ id: w.action, version: 1, evidence: "done" }) },
  reopenAction: { may: staff, input: (w) => ({ id: w.action, version: 1 }) },
  editReview: {
    may: staff,
    input: (w) => ({ id: w.review, version: 1, title: "First review", heldOn: "2027-02-26", buildId: w.build }),
  },
  arrangePacket: {
    may: [...staff, "teammate"],
    input: (w) => ({ id: w.review, was: [], parts: ["asked", "actions"] }),
  },
  reopenReview: { may: staff, input: (w) => ({ id: w.review, version: 1, reason: "A sheet was wrong" }) },
  editAction: { may: staff, input: (w) => ({ id: w.action, version: 1, what: "Mend it", dueOn: "2027-03-02" }) },
  withdrawReview: { may: staff, input: (w) => ({ id: w.review, reason: "Called off" }) },
  withdrawSheet: { may: [], input: () => ({ id: randomUUID(), reason: "x" }) },
  withdrawAction: { may: staff, input: (w) => ({ id: w.action }) },
  withdrawRubric: { may: staff, input: (w) => ({ id: w.rubricId }) },
  addActionPhoto: { may: [...staff, "teammate"], input: (w) => ({ id: w.action, base64: "eA==" }) },
  askQuestion: { may: [...staff, "reviewer"], input: (w) => ({ reviewId: w.review, question: "Why cork?" }) },
  answerQuestion: {
    may: [...staff, "teammate"],
    input: (w) => ({ id: w.reviewQuestion, version: 1, answer: "It was there." }),
  },
  withdrawQuestion: { may: staff, input: (w) => ({ id: w.reviewQuestion }) },
  demonstrate: {
    may: [...staff, "client", "reviewer"],
    input: (w) => ({ reviewId: w.review, who: "Client", wishes: [{ requirementId: w.flow, outcome: "met" }] }),
  },
  saveStory: {
    may: [...staff, "teammate"],
    input: (w) => ({ projectId: w.projectId, teamId: w.a, version: 1, title: "S", chapters: [chapter] }),
  },
  shareStory: { may: [...staff, "teammate"], input: (w) => ({ id: w.story, version: 1, shared: true }) },
  withdrawStory: { may: [...staff, "teammate"], input: (w) => ({ id: w.story }) },
  addTopics: { may: staff, input: (w) => ({ projectId: w.projectId, titles: ["Valves"] }) },
  dealTopics: { may: staff, input: (w) => ({ projectId: w.projectId, seed: "7" }) },
  editTopic: { may: staff, input: (w) => ({ id: w.topic, version: 2, title: "Levers", teamId: w.a }) },
  writeTopic: { may: [...staff, "teammate"], input: (w) => ({ id: w.topic, version: 2, body: "A lever." }) },
  withdrawTopic: { may: staff, input: (w) => ({ id: w.topic }) },
  saveSlots: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, title: "First review", version: 1, ...slotsTyped, teams: [], places: [] }),
  },
  moveSlot: { may: staff, input: (w) => ({ id: w.slot, version: 1, day: "2027-02-25", from: "8:50", room: 0 }) },
  setPanel: { may: staff, input: (w) => ({ id: w.slot, version: 1, reviewers: ["Ida"] }) },
  runSlot: { may: staff, input: (w) => ({ id: w.slot, version: 1, step: "begin" }) },
  withdrawSlots: { may: staff, input: (w) => ({ id: w.slotPlan }) },
};
