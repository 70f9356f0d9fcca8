import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const reviewsTables: readonly Table[] = [
  ofProject("rubric"),
  ofParent("rubric_version", "rubric_id", "rubric"),
  ofProject("review"),
  ofProject("sheet", { omit: ["rater_guest"], people: ["rater_person"] }),
  ofParent("sheet_mark", "sheet_id", "sheet"),
  ofProject("action_item", { people: ["owner_id"] }),
];
