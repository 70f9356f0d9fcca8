import { settings } from "@/platform/project/schema";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";

export const planTables: readonly Table[] = [
  {
    name: "project",
    passes: true,
    of: "id = $1",
    omit: ["edition_of", "archived_at", "bundled_at"],
    check: { settings: fits(settings.omit(["projectId"])) },
  },
  ofProject("project_section", { passes: true }),
  ofProject("day_off"),
  ofProject("extra_session"),
  ofProject("milestone"),
  ofParent("milestone_date", "milestone_id", "milestone"),
  ofProject("milestone_check", { people: ["person_id"] }),
  ofProject("task"),
  ofProject("gate_item"),
  ofProject("gate_tick", { people: ["person_id"], erase: ["DELETE FROM gate_tick WHERE person_id = :person"] }),
  ofProject("gate_sign_off"),
];
