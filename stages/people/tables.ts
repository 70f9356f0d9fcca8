import { fits, type Table } from "@/platform/registry/table";
import { meetingPattern } from "@/stages/plan/schema";

export const peopleTables: readonly Table[] = [
  { name: "person", omit: ["email", "login_name", "password_hash", "instructor", "admin", "head", "version"] },
  {
    name: "section",
    passes: true,
    of: "id IN (SELECT section_id FROM project_section WHERE project_id = $1)",
    check: { pattern: fits(meetingPattern) },
  },
  // Nobody is given a right by a bundle: who imports it owns the project.
  { name: "staff" },
  {
    name: "enrolment",
    of: "section_id IN (SELECT section_id FROM project_section WHERE project_id = $1)",
    people: ["person_id"],
    erase: ["UPDATE enrolment SET to_on = coalesce(to_on, :day::date) WHERE person_id = :person"],
  },
  { name: "guest_link" },
];
