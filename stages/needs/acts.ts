import { acts, everyone, staff } from "@/core/access/can";

export const needsActs = acts("needs", {
  edit: { project: staff },
  read: { project: everyone, student: "class", guests: ["reviewer"] },
});

export const questionActs = acts("question", {
  draft: { project: everyone, student: "class" },
  answer: { guests: ["client"] },
});

export const noteActs = acts("note", {
  write: { project: everyone, student: "class" },
  amend: { project: everyone, student: "own" },
});

export const statementActs = acts("statement", {
  edit: { project: everyone, student: "class" },
});

export const changeActs = acts("change", {
  ask: { project: everyone, student: "class" },
});

export const findingActs = acts("finding", {
  record: { project: staff },
});

export const evidenceActs = acts("evidence", {
  keep: { project: staff },
});
