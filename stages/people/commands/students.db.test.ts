// A student's record is corrected, moved, merged and taken in again.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { enterMarks } from "@/stages/grades/commands/marks";
import { createSection } from "@/stages/plan/commands/projects";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { leftOf, studentsOf } from "../queries/students";
import { mergeStudents } from "./merge";
import { addStudent, editStudent, endEnrolment, restoreEnrolment } from "./students";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeEach(async () => {
  ({ done, boss, w } = await openClass());
});
afterEach(() => done());

const student = async (id: string) => (await studentsOf(w.projectId)).find((s) => s.id === id);

test("name, email and section are corrected; the team stays, and it is said", async () => {
  const me = w.students[0]!;
  const second = (await ok(createSection, boss, { projectId: w.projectId, name: "4", days: [2] })).id;
  const to = { projectId: w.projectId, personId: me, version: 1, name: "Ada Quill", email: "Ada@S.example" };
  expect(await ok(editStudent, boss, { ...to, sectionId: w.section })).toEqual({ team: null });
  expect(await ok(editStudent, boss, { ...to, version: 2, sectionId: second })).toEqual({ team: "Alder" });
  expect(await student(me)).toMatchObject({ name: "Ada Quill", email: "ada@s.example", section: "4", team: "Alder" });
  // Back again: the enrolment that ended is taken up.
  await ok(editStudent, boss, { ...to, version: 3, sectionId: w.section });
  expect((await studentsOf(w.projectId)).filter((s) => s.id === me).map((s) => s.section)).toEqual(["3"]);
  expect(await execute(editStudent, boss, { ...to, version: 1, sectionId: w.section })).toMatchObject({
    kind: "conflict",
  });
});

test("two students of one name in a section are two, where somebody says so", async () => {
  const name = w.names[0]!;
  const input = { projectId: w.projectId, sectionId: w.section, name };
  expect(await execute(addStudent, boss, input)).toMatchObject({
    fields: { name: expect.stringContaining("already") },
  });
  await ok(addStudent, boss, { ...input, twin: true });
  expect((await studentsOf(w.projectId)).filter((s) => s.name === name)).toHaveLength(2);
});

test("a student who moved and left is taken in again where they were last", async () => {
  const [me] = w.students;
  const second = (await ok(createSection, boss, { projectId: w.projectId, name: "4", days: [2] })).id;
  const [name] = w.names;
  await ok(editStudent, boss, { projectId: w.projectId, personId: me, version: 1, name, sectionId: second });
  await ok(endEnrolment, boss, { projectId: w.projectId, personId: me });
  expect((await leftOf(w.projectId)).map((x) => x.id)).toEqual([me]);
  await ok(restoreEnrolment, boss, { projectId: w.projectId, personId: me });
  expect([await leftOf(w.projectId), (await student(me!))?.section]).toEqual([[], "4"]);
  expect(await execute(restoreEnrolment, boss, { projectId: w.projectId, personId: me })).toMatchObject({
    kind: "refused",
  });
});

test("two records of one student become one, with the work of both", async () => {
  const [ada, , cai] = w.students as [string, string, string];
  // Cai is Ada once more: has the login, a mark for the same part, and stands in a limit, a wish and a plan.
  await db()`UPDATE person SET login_name = 'cai.reed', password_hash = 'x' WHERE id = ${cai}`;
  const mark = (personId: string, typed: string) =>
    ok(enterMarks, boss, { projectId: w.projectId, marks: [{ personId, component: "notebook", typed }] });
  await mark(ada, "80");
  await mark(cai, "60");
  const entry = { id: randomUUID(), projectId: w.projectId, personId: cai, onDate: "2027-02-01" };
  await db()`INSERT INTO notebook_entry ${db()(entry)}`;
  const { left } = await ok(mergeStudents, boss, { projectId: w.projectId, personId: ada, fromId: cai });
  // The enrolment in the same section, and the mark.
  expect(left).toBe(2);
  expect(await db()`SELECT FROM person WHERE id = ${cai}`).toHaveLength(0);
  expect(await student(ada)).toMatchObject({ loginName: "cai.reed", hasLogin: true, team: "Alder" });
  expect(await db()`SELECT trim_scale(share)::text AS share FROM entered_mark`).toEqual([{ share: "0.8" }]);
  expect(await db()`SELECT FROM notebook_entry WHERE person_id = ${ada}`).toHaveLength(2);
  const traces = await db()`
    SELECT 1 FROM team_constraint WHERE ${cai}::uuid = ANY(people)
    UNION ALL SELECT 1 FROM team_plan WHERE assignment ? ${cai}
  `;
  expect(traces).toHaveLength(0);
  const [kept] = await db()`SELECT before FROM audit WHERE act = 'mergeStudents'`;
  expect(kept!.before).toMatchObject({ merged: cai, left: { entered_mark: [{ share: 0.6 }] } });
});

test("a record that another instructor's project holds is not merged", async () => {
  const [ada, ben] = w.students as [string, string];
  const [project, section] = [randomUUID(), randomUUID()];
  await db()`
    INSERT INTO project (id, slug, title, kind, starts_on, ends_on)
    VALUES (${project}, 'other', 'Other', 'client', '2027-01-01', '2027-06-01')
  `;
  await db()`INSERT INTO section (id, name, school_year, pattern) VALUES (${section}, '9', '2026/27', '{}')`;
  await db()`INSERT INTO project_section (project_id, section_id) VALUES (${project}, ${section})`;
  await db()`INSERT INTO enrolment (id, section_id, person_id) VALUES (${randomUUID()}, ${section}, ${ben})`;
  expect(await execute(mergeStudents, boss, { projectId: w.projectId, personId: ada, fromId: ben })).toMatchObject({
    message: expect.stringContaining("“Other”"),
  });
});
