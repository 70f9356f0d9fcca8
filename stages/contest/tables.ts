import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { eventDefinition, matchDefinition } from "./schema";

const isMatch = (definition: unknown) =>
  typeof definition === "object" && definition !== null && "decides" in definition;

export const contestTables: readonly Table[] = [
  ofProject("event", {
    check: { definition: (v) => fits<unknown>(isMatch(v) ? matchDefinition : eventDefinition)(v) },
  }),
  ofParent("entry", "event_id", "event"),
  ofParent("match_result", "event_id", "event"),
];
