import * as yup from "yup";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { eventDefinition, inspectionCheck, matchDefinition } from "./schema";
import { judgedDefinition, sheetMarks } from "./schema-judged";

const has = (definition: unknown, key: string) =>
  typeof definition === "object" && definition !== null && key in definition;

/** How the rules of an event are kept, by what they hold. */
const rulesOf = (definition: unknown) =>
  has(definition, "decides") ? matchDefinition : has(definition, "criteria") ? judgedDefinition : eventDefinition;

export const contestTables: readonly Table[] = [
  ofProject("event", { passes: true, check: { definition: (v) => fits<unknown>(rulesOf(v))(v) } }),
  ofParent("entry", "event_id", "event", { passes: true }),
  ofParent("match_result", "event_id", "event", { passes: true }),
  {
    name: "judge_sheet",
    of: "entry_id IN (SELECT n.id FROM entry n JOIN event e ON e.id = n.event_id WHERE e.project_id = $1)",
    check: { marks: fits<unknown>(sheetMarks) },
  },
  ofParent("penalty", "run_id", "run", { passes: true }),
  ofParent("event_check", "event_id", "event"),
  ofParent("event_halt", "event_id", "event"),
  // The address of a vote is this school's; the copy of a project has none until its vote is opened.
  ofProject("ballot", { omit: ["code"] }),
  ofParent("vote", "ballot_id", "ballot"),
  ofProject("hall_call"),
  ofProject("allowed_part", { passes: true }),
  ofProject("board"),
  ofParent("inspection", "build_id", "build", { check: { checks: fits(yup.array(inspectionCheck.required())) } }),
];
