import type { Actor } from "@/core/access/can";
import { guestActor } from "@/platform/sign-in/actors";
import { enterMarks } from "@/stages/grades/commands/marks";
import { publishGrades } from "@/stages/grades/commands/publish";
import { gradebook } from "@/stages/grades/queries/gradebook";
import { publicationsOf } from "@/stages/grades/queries/publications";
import { createGuestLink } from "@/stages/people/commands/guests";
import { checkMilestone } from "@/stages/plan/commands/milestones";
import { ok, refused } from "@/stages/testing/database";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { restsOf, reviewsOf } from "../queries/reviews";
import { restsView } from "../view/reviews";
import { decideReview, submitSheet } from "./marking";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

describe("reviews and grades", () => {
  const mark = (points: string, more: object = {}) => ({
    reviewId: w.review,
    raterName: "Guest",
    marks: [{ criterion: "fit", points }],
    ...more,
  });
  test("reviewers' sheets average; a level that the rubric lacks is refused; a verdict closes the sheets", async () => {
    await ok(submitSheet, boss, mark("4"));
    const guest: Actor = {
      kind: "guest",
      id: (await guestId("reviewer")).id,
      name: "Panel",
      role: "reviewer",
      project: w.projectId,
    };
    expect(await refused(submitSheet, guest, mark("3"))).toMatchObject({
      fields: { "marks.fit": expect.stringContaining("none of its levels") },
    });
    await ok(submitSheet, guest, mark("0"));
    const book = await gradebook(w.projectId, "2027-03-02", { only: w.students[0] });
    expect(book.rows[0]!.grade.value.components[0]).toMatchObject({ percent: "50", state: "scored" });
    await ok(decideReview, boss, { id: w.review, version: 1, verdict: "go on" });
    expect(await refused(submitSheet, guest, mark("4", { version: 1 }))).toMatchObject({
      fields: { correction: expect.stringContaining("Say why") },
    });
    expect(await refused(submitSheet, guest, mark("4", { raterName: "Another" }))).toMatchObject({
      message: expect.stringContaining("closed"),
    });
    expect((await reviewsOf(w.projectId))[0]!.sheets).toHaveLength(2);
    await ok(submitSheet, guest, mark("4", { version: 1, correction: "Read the wrong team's row" }));
    const [r] = await reviewsOf(w.projectId);
    expect(r!.sheets.map((s) => s.correction).sort()).toEqual(["", "Read the wrong team's row"]);
    expect(r!.rests!.sheets.map((s) => s.version)).toEqual([1, 1]);
    expect(restsView(r!.rests, await restsOf(w.review), 1)!.since).toContain("1 sheet was corrected");
  });
  async function guestId(role: string) {
    const { secret } = await ok(createGuestLink, boss, { projectId: w.projectId, role, label: role, days: 3 });
    return (await guestActor(secret)) as { id: string };
  }
  test("a grade is its arithmetic: what is not due does not count, what is missing counts zero", async () => {
    await ok(submitSheet, boss, mark("4"));
    const grade = async () => (await gradebook(w.projectId, "2027-03-02", { only: w.students[0] })).rows[0]!.grade;
    // Flow of 8.6 kg in 60 s: 8.617 L/min at two digits of its uncertainty: (8.617 − 4) ÷ 5 × 100 = 92.34; the drawing
    // is missing; the notebook is not due.
    expect((await grade()).value.components.map((c) => [c.state, c.percent])).toEqual([
      ["scored", "100"],
      ["scored", "92.34"],
      ["missing", "0"],
      ["not due", null],
    ]);
    expect((await grade()).value.grade).toBe("84.6");
    await ok(checkMilestone, boss, { milestoneId: w.milestone, teamId: w.a, doneOn: "2027-02-01" });
    const typedIn = (component: string, typed: string) => ({
      projectId: w.projectId,
      marks: [{ personId: w.students[0], component, typed }],
    });
    await ok(enterMarks, boss, typedIn("notebook", "70"));
    expect((await grade()).value.grade).toBe("91.7");
    expect((await refused(enterMarks, boss, typedIn("review", "10"))).message).toContain("This is computed.");
  });
  test("a publication is frozen; the next one names what changed", async () => {
    await ok(submitSheet, boss, mark("4"));
    await ok(publishGrades, boss, { projectId: w.projectId });
    expect(await refused(publishGrades, boss, { projectId: w.projectId })).toMatchObject({
      message: expect.stringContaining("No grade has changed"),
    });
    const enter = (component: string, version: number, typed: string) =>
      ok(enterMarks, boss, {
        projectId: w.projectId,
        marks: [{ personId: w.students[0], component, version, typed }],
      });
    await enter("notebook", 0, "10");
    expect(await refused(publishGrades, boss, { projectId: w.projectId })).toMatchObject({
      fields: { whatChanged: expect.stringContaining("1 grade changed") },
    });
    await ok(publishGrades, boss, { projectId: w.projectId, whatChanged: "notebook came in" });
    await enter("review", 0, "80 Held the review alone");
    await ok(publishGrades, boss, { projectId: w.projectId, whatChanged: "review set" });
    const [newest, ...all] = await publicationsOf(w.projectId);
    // The student reads why a mark was set by hand, and what was computed.
    expect(newest!.ledger[0]!.components.find((c) => c.key === "review")).toMatchObject({
      percent: "80",
      computed: "100",
      reason: "Held the review alone",
    });
    expect(all.map((p) => p.number)).toEqual([2, 1]);
    expect(all[0]!.ledger[0]!.grade).not.toBe(all[1]!.ledger[0]!.grade);
  });
});
