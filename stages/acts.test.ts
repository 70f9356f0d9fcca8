// Who may do what, as the stages say it: a few cases by hand; the whole matrix is permission.db.test.ts.
import { type Actor, can } from "@/core/access/can";
import { runActs } from "./bench/acts";
import { contestActs } from "./contest/acts";
import { gradeActs } from "./grades/acts";

describe("access", () => {
  const student: Actor = {
    kind: "person",
    id: "s",
    name: "S",
    instructor: false,
    admin: false,
    projects: { p: { role: "student", team: "a" } },
  };
  test("a student writes own team's records only", () => {
    expect(can(student, runActs.record, { project: "p", team: "a" })).toBe(true);
    expect(can(student, runActs.record, { project: "p", team: "b" })).toBe(false);
    expect(can(student, runActs.record, { project: "q", team: "a" })).toBe(false);
    expect(can(student, gradeActs.readOwn, { project: "p", person: "s" })).toBe(true);
    expect(can(student, gradeActs.readOwn, { project: "p", person: "t" })).toBe(false);
  });
  test("a guest sees its scope only", () =>
    expect(
      can({ kind: "guest", id: "g", name: "", role: "scorer", project: "p" }, contestActs.score, { project: "q" }),
    ).toBe(false));
});
