import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { frameOf } from "@/platform/project/frame";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { tasksOf } from "../queries/tasks";
import { removeTask } from "../withdrawals";
import { addExtraSession, saveSectionPattern } from "./calendar";
import { importDaysOff } from "./days-off";
import { saveTask } from "./tasks";

let done: () => Promise<void>;
let boss: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

describe("plan and calendar", () => {
  test("tasks that would wait for each other are named", async () => {
    const { id } = await ok(saveTask, boss, {
      projectId: w.projectId,
      title: "Cut the lever",
      length: 3,
      after: [w.task],
    });
    expect(
      (
        await refused(saveTask, boss, {
          projectId: w.projectId,
          id: w.task,
          version: 1,
          title: "Draw the lever",
          length: 2,
          after: [id],
        })
      ).message,
    ).toBe("“Draw the lever” would wait for itself, over Cut the lever.");
    await ok(removeTask, boss, { id });
    expect((await tasksOf(w.projectId)).map((t) => t.after)).toEqual([[]]);
  });
  test("a section's pattern with double periods, its own dates and extra sessions make its calendar", async () => {
    const frame = async () => (await frameOf(w.slug, boss))!;
    const before = (await frame()).sessions.length;
    await ok(addExtraSession, boss, { projectId: w.projectId, onDate: "2027-01-20", reason: "swap" });
    expect((await frame()).sessions.length).toBe(before + 1);
    await ok(saveSectionPattern, boss, {
      projectId: w.projectId,
      sectionId: w.section,
      version: 1,
      pattern: "weekdays",
      days: [1],
      double: [1],
      startsOn: "2027-02-01",
      endsOn: "2027-02-12",
    });
    expect((await frame()).sessions.map((s) => s.date)).toEqual([
      "2027-02-01",
      "2027-02-01",
      "2027-02-08",
      "2027-02-08",
    ]);
    expect(
      (
        await refused(saveSectionPattern, boss, {
          projectId: w.projectId,
          sectionId: w.section,
          version: 2,
          pattern: "weekdays",
          days: [1],
          double: [2],
        })
      ).message,
    ).toContain("on which the section meets");
    await ok(saveSectionPattern, boss, {
      projectId: w.projectId,
      sectionId: w.section,
      version: 2,
      pattern: "weekdays",
      days: [1, 2, 4],
    });
  });
  test(
    "days off come in from a calendar file: repeated and several days unfolded, what is no whole day is " + "named",
    async () => {
      const event = (lines: string) => `BEGIN:VEVENT\r\nUID:${randomUUID()}\r\n${lines}\r\nEND:VEVENT`;
      const text =
        `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n` +
        [
          event("SUMMARY:Half-term\r\nDTSTART;VALUE=DATE:20270222\r\nDTEND;VALUE=DATE:20270225"),
          event("SUMMARY:Staff\r\nDTSTART;VALUE=DATE:20270301\r\nRRULE:FREQ=WEEKLY;COUNT=2"),
          event("SUMMARY:Concert\r\nDTSTART:20270303T100000Z"),
          event("SUMMARY:Summer\r\nDTSTART;VALUE=DATE:20270801"),
        ].join("\r\n") +
        `\r\nEND:VCALENDAR\r\n`;
      const seen = await ok(importDaysOff, boss, { projectId: w.projectId, text });
      expect([seen.days.map((d) => d.date), seen.problems, seen.outside, seen.written]).toEqual([
        ["2027-02-22", "2027-02-23", "2027-02-24", "2027-03-01", "2027-03-08"],
        ["entry 3 “Concert” is not a whole day, so it is left out."],
        1,
        0,
      ]);
      expect((await ok(importDaysOff, boss, { projectId: w.projectId, text, commit: true })).written).toBe(5);
      expect((await ok(importDaysOff, boss, { projectId: w.projectId, text: "hello" })).problems[0]).toContain(
        "not a calendar file",
      );
    },
  );
});
