import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const teamsTables: readonly Table[] = [
  ofProject("team", { passes: true }),
  ofProject("membership", {
    people: ["person_id"],
    erase: ["UPDATE membership SET to_on = :day::date WHERE person_id = :person AND to_on IS NULL"],
  }),
  ofProject("trait", { people: ["person_id"], erase: ["DELETE FROM trait WHERE person_id = :person"] }),
  ofProject("wish", { people: ["person_id"], erase: ["DELETE FROM wish WHERE person_id = :person"] }),
  ofProject("team_constraint", {
    erase: [
      "DELETE FROM team_constraint WHERE people = ARRAY[:person::uuid]",
      "UPDATE team_constraint SET people = array_remove(people, :person::uuid) WHERE :person::uuid = ANY(people)",
    ],
  }),
  ofProject("team_plan", {
    erase: ["UPDATE team_plan SET assignment = assignment - :person::text WHERE assignment ? :person::text"],
  }),
  ofProject("part"),
  ofParent("part_owner", "part_id", "part", {
    people: ["person_id"],
    erase: ["DELETE FROM part_owner WHERE person_id = :person"],
  }),
];
