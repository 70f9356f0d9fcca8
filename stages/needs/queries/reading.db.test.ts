import type { Actor } from "@/core/access/can";
import { search } from "@/frame/search/search";
import { waitingIn } from "@/frame/today/waiting";
import { toCsv } from "@/platform/csv/csv";
import { frameOf } from "@/platform/project/frame";
import { actorOf } from "@/platform/sign-in/actors";
import { stages } from "@/stages/index";
import { calendarOf } from "@/stages/plan/ics";
import { readDaysOff } from "@/stages/plan/view/days-off";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

const listOf = (kind: string) =>
  stages.find((x) => x.downloads?.[kind])!.downloads![kind]!.make({ id: w.projectId, currency: "cr" }, "2027-03-02");

describe("reading", () => {
  test("Today lists reasons, the jump box finds, the calendar and CSV come out", async () => {
    expect(
      (await waitingIn([w.projectId], "2027-03-02"))
        .get(w.projectId)!
        .map((x) => x.what)
        .join("; "),
    ).toContain("1 action overdue; Drawing is overdue");
    expect((await search({ id: w.projectId, slug: w.slug }, "alder", boss)).map((h) => h.kind)).toEqual(
      expect.arrayContaining(["team", "build", "run", "review"]),
    );
    expect(await search({ id: w.projectId, slug: w.slug }, "ada", await actorOf(w.students[0]!))).toEqual([]);
    const frame = (await frameOf(w.slug, boss))!;
    expect([frame.sessions.length, frame.held]).toEqual([29, 19]);
    const ics = await calendarOf(frame, w.section);
    expect(ics.match(/BEGIN:VEVENT/g)!.length).toBe(29 + 3 + 1 + 1);
    expect((await listOf("requirements")).split("\r\n")[1]).toBe(
      "R-01,1,Moves 7.5 L/min,criterion,must,flow,≥ 7.5 L/min,test,,met,untested",
    );
    expect(await listOf("runs")).toContain("Collected (kg),Flow (L/min)");
    expect(await listOf("gradebook")).toContain("Review (%, weight 40 %)");
  });
  test("an exported cell cannot start a formula, and numbers stay numbers", () => {
    expect(toCsv([["=1+1", "@x", "-3.5", "−2", "+SUM(A1)", "ok"]]).trim()).toBe(
      "\ufeff'=1+1,'@x,-3.5,-2,'+SUM(A1),ok".trim(),
    );
  });
  test("days off are read one a line", () => {
    expect(readDaysOff("2027-02-15 Staff day\n2027-02-22 to 2027-02-24 Half-term")).toMatchObject({
      ok: true,
      days: [{ reason: "Staff day" }, {}, {}, { date: "2027-02-24" }],
    });
    expect(readDaysOff("next Monday")).toEqual({ ok: false, line: "next Monday" });
  });
});
