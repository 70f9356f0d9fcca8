import fc from "fast-check";
import type { GuestRole } from "../vocabulary/project";
import { type Actor, acts, can, everyone, type ProjectRole, staff } from "./can";

describe("access", () => {
  const every = acts("thing", {
    read: { project: everyone, student: "class", guests: ["client", "reviewer", "judge", "scorer", "board"] },
    edit: { project: staff },
    own: { project: everyone, student: "own" },
  });
  const person = (role: ProjectRole, team: string | null): Actor => ({
    kind: "person",
    id: "me",
    name: "",
    instructor: role !== "student",
    admin: false,
    projects: { p: { role, team } },
  });
  test("nobody may do anything, and no role of one project may do anything in another", () =>
    fc.assert(
      fc.property(
        fc.constantFrom<ProjectRole>("owner", "co", "student"),
        fc.constantFrom<GuestRole>("client", "reviewer", "judge", "scorer", "board"),
        (role, guest) => {
          for (const act of Object.values(every)) {
            expect(can({ kind: "nobody" }, act, { project: "p" })).toBe(false);
            expect(can(person(role, "t"), act, { project: "q", team: "t" })).toBe(false);
            expect(can({ kind: "guest", id: "g", name: "", role: guest, project: "p" }, act, { project: "q" })).toBe(
              false,
            );
          }
        },
      ),
    ));
  test("a student without a team writes no team's records, not even those that have none", () => {
    expect(can(person("student", null), every.own, { project: "p", team: null })).toBe(false);
    expect(can(person("student", null), every.own, { project: "p" })).toBe(false);
  });
});
