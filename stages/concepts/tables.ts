import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const conceptsTables: readonly Table[] = [
  ofProject("concept", { people: ["author_id"] }),
  ofParent("concept_parent", "concept_id", "concept"),
  ofParent("concept_claim", "concept_id", "concept"),
  ofProject("concept_fate"),
  ofProject("selection"),
  ofProject("selection_sheet", {
    omit: ["rater_guest"],
    people: ["rater_person"],
    erase: ["UPDATE selection_sheet SET rater_person = NULL WHERE rater_person = :person"],
  }),
];
