import { checkRubric, type RubricDefinition } from "@/core/sheet/sheet";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { rubric } from "./schema";
import { slotDefinition } from "./schema-slots";
import { storyChapters } from "./schema-story";

export const reviewsTables: readonly Table[] = [
  ofProject("rubric", { passes: true }),
  ofParent("rubric_version", "rubric_id", "rubric", {
    passes: true,
    check: { definition: fits(rubric.pick(["criteria"]), (v) => checkRubric(v as RubricDefinition)) },
  }),
  ofProject("review"),
  ofProject("sheet", { omit: ["rater_guest"], people: ["rater_person"] }),
  ofParent("sheet_mark", "sheet_id", "sheet"),
  ofParent("sheet_person_mark", "sheet_id", "sheet", {
    people: ["person_id"],
    erase: ["DELETE FROM sheet_person_mark WHERE person_id = :person"],
  }),
  ofProject("review_question"),
  ofParent("demonstration_tick", "review_id", "review"),
  ofProject("story", { check: { chapters: fits(storyChapters) } }),
  ofProject("report_topic"),
  ofProject("slot_plan", { check: { definition: fits(slotDefinition) } }),
  ofParent("slot", "plan_id", "slot_plan"),
  ofProject("action_item", { people: ["owner_id"] }),
];
