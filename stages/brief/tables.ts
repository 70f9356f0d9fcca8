import { ofProject, type Table } from "@/platform/registry/table";

export const briefTables: readonly Table[] = [
  ofProject("brief_version", { passes: true }),
  {
    name: "brief_reading",
    of: "brief_version_id IN (SELECT id FROM brief_version WHERE project_id = $1)",
    people: ["person_id"],
    erase: ["DELETE FROM brief_reading WHERE person_id = :person"],
  },
  ofProject("brief_rule", { passes: true }),
  ofProject("challenge"),
  ofProject("challenge_result"),
];
