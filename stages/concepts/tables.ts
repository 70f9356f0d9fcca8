import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { selectionDefinition } from "./schema";

export const conceptsTables: readonly Table[] = [
  ofProject("concept", { people: ["author_id"] }),
  ofParent("concept_parent", "concept_id", "concept"),
  ofParent("concept_claim", "concept_id", "concept"),
  ofProject("concept_fate"),
  ofProject("selection", { check: { definition: fits(selectionDefinition) } }),
  ofProject("selection_sheet", {
    omit: ["rater_guest"],
    people: ["rater_person"],
    erase: ["UPDATE selection_sheet SET rater_person = NULL WHERE rater_person = :person"],
  }),
];
