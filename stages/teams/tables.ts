import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const teamsTables: readonly Table[] = [
  ofProject("team"),
  ofProject("membership", {
    people: ["person_id"],
    erase: ["UPDATE membership SET to_on = $3::date WHERE person_id = $1 AND to_on IS NULL"],
  }),
  ofProject("trait", { people: ["person_id"], erase: ["DELETE FROM trait WHERE person_id = $1"] }),
  ofProject("wish", { people: ["person_id"], erase: ["DELETE FROM wish WHERE person_id = $1"] }),
  ofProject("team_constraint", {
    erase: [
      "DELETE FROM team_constraint WHERE people = ARRAY[$1::uuid]",
      "UPDATE team_constraint SET people = array_remove(people, $1::uuid) WHERE $1::uuid = ANY(people)",
    ],
  }),
  ofProject("team_plan", {
    erase: ["UPDATE team_plan SET assignment = assignment - $1::text WHERE assignment ? $1::text"],
  }),
  ofProject("part"),
  ofParent("part_owner", "part_id", "part", {
    people: ["person_id"],
    erase: ["DELETE FROM part_owner WHERE person_id = $1"],
  }),
];
