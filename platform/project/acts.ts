import { acts, everyone, staff } from "@/core/access/can";

export const schoolActs = acts("school", {
  keep: { admin: true },
  oversee: { head: true },
});

export const projectActs = acts("project", {
  create: { instructor: true },
  import: { instructor: true },
  read: { project: everyone, student: "class" },
  edit: { project: staff },
  finish: { project: ["owner"] },
  export: { project: staff },
  audit: { project: staff },
});
