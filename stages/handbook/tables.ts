import { fits, ofProject, type Table } from "@/platform/registry/table";
import { typedInputs } from "./schema";

/** What stays with a notebook's entry goes with it. */
export const handbookTables: readonly Table[] = [
  ofProject("handbook_use", { people: ["person_id"], check: { inputs: fits(typedInputs) } }),
  ofProject("trainer_answer", {
    people: ["person_id"],
    erase: ["DELETE FROM trainer_answer WHERE person_id = :person"],
  }),
];
