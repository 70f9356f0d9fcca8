import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const needsTables: readonly Table[] = [
  ofProject("requirement", { passes: true, people: ["owner_id"] }),
  ofParent("requirement_version", "requirement_id", "requirement", { passes: true }),
  ofProject("source"),
  ofProject("statement"),
  ofParent("statement_apart", "a", "statement"),
  ofProject("question", { people: ["drafter_id", "asker_id"] }),
  ofProject("note", { people: ["author_id"] }),
  ofParent("statement_note", "statement_id", "statement"),
  ofProject("baseline"),
  ofProject("change_request"),
];
