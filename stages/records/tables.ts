import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const recordsTables: readonly Table[] = [
  ofProject("artefact"),
  // Who has a model is the school's.
  ofParent("artefact_loan", "artefact_id", "artefact", { stays: true }),
  ofProject("build_guide", { passes: true }),
  ofParent("guide_step", "guide_id", "build_guide", { passes: true }),
  ofProject("honour", { passes: true }),
];
