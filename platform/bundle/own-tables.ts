import { ofProject, type Table } from "../registry/table";

/** Tables that belong to no stage. */
export const ownTables: readonly Table[] = [
  { name: "file", of: "hash IN (SELECT file_hash FROM file_use WHERE project_id = $1)", omit: ["content"] },
  ofProject("file_use"),
  ofProject("draw"),
  ofProject("evidence"),
  ofProject("audit"),
];
