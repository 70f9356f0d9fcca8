import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const benchTables: readonly Table[] = [
  ofProject("protocol"),
  ofParent("protocol_version", "protocol_id", "protocol"),
  ofProject("run"),
  ofParent("reading", "run_id", "run"),
];
