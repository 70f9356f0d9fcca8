import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { eventDefinition } from "./schema";

export const contestTables: readonly Table[] = [
  ofProject("event", { check: { definition: fits(eventDefinition) } }),
  ofParent("entry", "event_id", "event"),
];
