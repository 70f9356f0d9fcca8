import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const notebookTables: readonly Table[] = [
  ofProject("notebook_entry", {
    people: ["person_id"],
    erase: ["DELETE FROM notebook_entry WHERE person_id = :person"],
  }),
  ofParent("notebook_version", "entry_id", "notebook_entry"),
  ofParent("notebook_seen", "entry_id", "notebook_entry", { people: ["person_id"] }),
  ofProject("notebook_remark"),
  ofParent("notebook_countersign", "entry_id", "notebook_entry", { people: ["partner_id"] }),
];
