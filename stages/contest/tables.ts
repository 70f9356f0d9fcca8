import * as yup from "yup";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { eventDefinition, inspectionCheck, matchDefinition } from "./schema";

const isMatch = (definition: unknown) =>
  typeof definition === "object" && definition !== null && "decides" in definition;

export const contestTables: readonly Table[] = [
  ofProject("event", {
    check: { definition: (v) => fits<unknown>(isMatch(v) ? matchDefinition : eventDefinition)(v) },
  }),
  ofParent("entry", "event_id", "event"),
  ofParent("match_result", "event_id", "event"),
  ofParent("penalty", "run_id", "run"),
  ofParent("event_check", "event_id", "event"),
  ofParent("event_halt", "event_id", "event"),
  ofProject("allowed_part"),
  ofProject("board"),
  ofParent("inspection", "build_id", "build", { check: { checks: fits(yup.array(inspectionCheck.required())) } }),
];
