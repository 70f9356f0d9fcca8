import { ofProject, type Table } from "@/platform/registry/table";

export const shopTables: readonly Table[] = [
  ofProject("tool"),
  ofProject("machine_setting"),
  ofProject("tool_sign_off", { people: ["person_id"], erase: ["DELETE FROM tool_sign_off WHERE person_id = :person"] }),
];
