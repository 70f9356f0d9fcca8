// A class is planned, begun, its attendance taken by exception, and what was seen stands on the next one's page.
import { db } from "@/platform/db/db";
import { studentRecord } from "@/stages/people/queries/record";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { attendanceIn, classOf } from "../queries/classes";
import { flagsWaiting } from "../queries/flags";
import { beginClass, markAttendance, planClass, remarkOnClass, takeAttendance } from "./classes";

let at: Awaited<ReturnType<typeof openClass>>;
let on: { projectId: string; sectionId: string; onDate: string };
beforeAll(async () => {
  at = await openClass();
  on = { projectId: at.w.projectId, sectionId: at.w.section, onDate: "2027-03-02" };
});
afterAll(() => at.done());

const read = (day = on.onDate) => classOf(on.projectId, on.sectionId, day, day);
const mark = (n: number, more: object = {}) =>
  ok(markAttendance, at.boss, { ...on, personId: at.w.students[n]!, ...more });
const marks = async () => (await read()).students.map((s) => s.mark && [s.mark.state, s.mark.minutes]);

test("who plans a class at the same time sees both plans; the remark has a version of its own", async () => {
  await ok(remarkOnClass, at.boss, { ...on, version: 0, remark: "Two waited for the drill" });
  await ok(planClass, at.boss, { ...on, version: 0, purpose: "Bench", agenda: "10 Plan\nBench" });
  const late = await refused(planClass, at.boss, { ...on, version: 0, purpose: "Race", agenda: "" });
  expect(late).toMatchObject({
    kind: "conflict",
    version: 1,
    fields: [
      { field: "purpose", yours: "Race", theirs: "Bench" },
      { field: "agenda", yours: "", theirs: "10 Plan\nBench" },
    ],
  });
  await ok(planClass, at.boss, { ...on, version: 1, purpose: "Race", agenda: "" });
  expect((await read()).kept).toMatchObject({ purpose: "Race", version: 2, remark: "Two waited for the drill" });
  expect((await read("2027-03-04")).before).toEqual({ onDate: "2027-03-02", remark: "Two waited for the drill" });
  expect((await read()).before).toBeNull();
});

test("only on days on which the section meets, and only of the project's own sections", async () => {
  const wednesday = { ...on, onDate: "2027-03-03" };
  expect(await refused(planClass, at.boss, { ...wednesday, version: 0 })).toMatchObject({
    fields: { onDate: "Section 3 does not meet on 2027-03-03. Correct the calendar first." },
  });
  const [other] = await db()<{ id: string }[]>`SELECT gen_random_uuid() AS id`;
  expect(await refused(takeAttendance, at.boss, { ...on, sectionId: other!.id, taken: true })).toMatchObject({
    kind: "missing",
  });
});

test("it begins once, on its own day, however often it is pressed; and has not begun after all", async () => {
  await ok(beginClass, at.boss, { ...on, begun: true });
  const [first] =
    await db()`SELECT began_at FROM class_day WHERE on_date = ${on.onDate} AND project_id = ${on.projectId}`;
  await ok(beginClass, at.boss, { ...on, begun: true });
  const [again] =
    await db()`SELECT began_at FROM class_day WHERE on_date = ${on.onDate} AND project_id = ${on.projectId}`;
  expect(again).toEqual(first);
  expect((await read()).ran).toBeGreaterThanOrEqual(0);
  await ok(beginClass, at.boss, { ...on, begun: false });
  expect((await read()).ran).toBeNull();
  expect(await refused(beginClass, at.boss, { ...on, onDate: "2027-03-04", begun: true })).toMatchObject({
    fields: { onDate: "A class begins on its own day." },
  });
});

test("attendance by exception: a mark takes it, changes, and goes; who is marked keeps it taken", async () => {
  expect((await read()).kept!.takenAt).toBeNull();
  await mark(0, { state: "late", minutes: "7" });
  expect((await read()).kept!.takenBy).toBe(at.boss.kind === "person" && at.boss.name);
  await mark(0, { state: "absent", minutes: "7" });
  await mark(1, { state: "left early", minutes: "3" });
  expect(await marks()).toEqual([["absent", null], ["left early", 3], null]);
  expect(await refused(takeAttendance, at.boss, { ...on, taken: false })).toMatchObject({ kind: "invalid" });
  await mark(0);
  await mark(1);
  expect(await marks()).toEqual([null, null, null]);
  await ok(takeAttendance, at.boss, { ...on, taken: false });
  expect((await read()).kept!.takenAt).toBeNull();
  const kept = await db()`
    SELECT label FROM audit WHERE subject_type = 'attendance' AND subject_id = ${at.w.students[0]!}
  `;
  expect(kept).toHaveLength(3);
});

test("nobody is marked before the day, nor who is of no section; minutes go with late or early", async () => {
  expect(
    await refused(markAttendance, at.boss, { ...on, onDate: "2027-03-04", personId: at.w.students[0]!, state: "late" }),
  ).toMatchObject({ fields: { onDate: "This class is still to come." } });
  const [teacher] = await db()<{ id: string }[]>`SELECT person_id AS id FROM staff WHERE project_id = ${on.projectId}`;
  expect(await refused(markAttendance, at.boss, { ...on, personId: teacher!.id, state: "absent" })).toMatchObject({
    kind: "missing",
  });
  const wrong = db()`
    INSERT INTO attendance ${db()({ ...on, personId: at.w.students[0]!, state: "absent", minutes: 4, setBy: "x" })}
  `;
  await expect(wrong).rejects.toThrow(/check constraint/);
});

test("each student's classes are counted, and stand in what is exported of the student", async () => {
  await ok(takeAttendance, at.boss, { ...on, taken: true });
  await mark(0, { state: "excused" });
  const lines = await attendanceIn(on.projectId);
  expect(lines.map((l) => [l.taken.length, l.marks.map((m) => `${m.date} ${m.state}`)])).toEqual([
    [2, ["2027-03-02 excused"]],
    [2, []],
    [2, ["2027-03-01 late"]],
  ]);
  expect((await studentRecord(on.projectId, at.w.students[0]!)).attendance).toEqual([
    { onDate: "2027-03-02", state: "excused", minutes: null },
  ]);
});

test("a section that meets today stands first on Today", async () => {
  const at2 = async (day: string) => (await flagsWaiting([on.projectId], day)).filter((x) => x.first);
  expect(await at2("2027-03-02")).toMatchObject([
    { who: "Section 3", what: expect.stringMatching(/^class today: session \d+ of \d+$/) },
  ]);
  expect(await at2("2027-03-03")).toEqual([]);
});
