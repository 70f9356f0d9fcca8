import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const buildsTables: readonly Table[] = [
  // A build of the edition before is not in this project's bundle.
  ofProject("build", { passes: true, omit: ["from_edition"], people: ["maker_id"] }),
  ofParent("build_parent", "build_id", "build", { passes: true }),
  ofParent("variable_setting", "build_id", "build", { passes: true }),
  ofParent("feature_drop", "build_id", "build", { passes: true }),
  ofParent("part_line", "build_id", "build", { passes: true }),
  {
    name: "piece",
    of: "build_id IN (SELECT id FROM build WHERE project_id = $1)",
    people: ["maker_id"],
  },
  {
    name: "piece_step",
    of: "piece_id IN (SELECT p.id FROM piece p JOIN build b ON b.id = p.build_id WHERE b.project_id = $1)",
    people: ["person_id"],
  },
  ofProject("failure", { passes: true }),
];
