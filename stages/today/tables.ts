import { ofProject, type Table } from "@/platform/registry/table";

export const todayTables: readonly Table[] = [
  ofProject("flag_aside"),
  ofProject("class_day"),
  // Who was not there is the school's.
  ofProject("attendance", {
    stays: true,
    people: ["person_id"],
    erase: ["DELETE FROM attendance WHERE person_id = :person"],
  }),
];
