import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const buildsTables: readonly Table[] = [
  ofProject("build"),
  ofParent("build_parent", "build_id", "build"),
  ofParent("variable_setting", "build_id", "build"),
  ofParent("feature_drop", "build_id", "build"),
  ofParent("part_line", "build_id", "build"),
  ofProject("failure"),
];
