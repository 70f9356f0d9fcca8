import type { Actor } from "@/core/access/can";
import { addDays } from "@/core/sessions/date";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { addAction } from "@/stages/reviews/commands/actions";
import { answerQuestion, askQuestion } from "@/stages/reviews/commands/asking";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { planReviews, saveRubric } from "@/stages/reviews/commands/planning";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { reviewTemplates } from "@/stages/reviews/view/review-templates";
import { rubricShelf } from "@/stages/reviews/view/rubric-shelf";
import { at, run } from "./run";

/** What the first review agreed with each team. */
export const agreed: Readonly<Record<string, string>> = {
  Downpour: "Replace the corks by something that does not swell",
  Freshet: "Find the rate at which the swing adds up",
  Bramble: "Change one variable at a time in the next generation",
  Headrace: "Brace the frame",
  Alder: "Measure the leak of the seal",
};

/** How ready each team's drawing was, 0 to 3. */
const ready: Readonly<Record<string, number>> = {
  Alder: 2.2,
  Bramble: 1.4,
  Cistern: 2.6,
  Downpour: 0.8,
  "Ebb & Co": 1.9,
  Freshet: 2.4,
  Gully: 2,
  Headrace: 1.6,
};
const said: Readonly<Record<string, string>> = {
  Cistern: "I could build it from this.",
  Downpour: "No sizes, and a drill at the wrong end of the plan.",
  Freshet: "Bold. Say beforehand how you would see that it does not work.",
};

/**
 * The design review before material, in week 2: two instructors and an engineer from the town, who is severe and had no
 * time for the last two teams.
 */
export async function designReview(
  owner: string,
  co: string,
  projectId: string,
  teamIds: readonly string[],
  heldOn: string,
): Promise<void> {
  const shelf = rubricShelf[0]!;
  const { id: rubricId } = await run(saveRubric, owner, {
    projectId,
    name: "Drawing review",
    criteria: shelf.criteria,
  });
  await run(planReviews, owner, { projectId, title: "Design review", heldOn, rubricId, teamIds });
  const label = "Engineer from the town";
  await run(createGuestLink, owner, { projectId, role: "reviewer", label, days: 120 });
  const link = (await guestLinksOf(projectId)).find((g) => g.label === label)!;
  const engineer: Actor = { kind: "guest", id: link.id, name: label, role: "reviewer", project: projectId };
  const reviews = (await reviewsOf(projectId)).filter((r) => r.title === "Design review");
  for (const [i, r] of reviews.entries()) {
    await at(heldOn, 10, i * 6);
    const raters: [who: string | Actor, bias: number][] = [
      [owner, 0.2],
      [co, 0.4],
      ...(i < 6 ? [[engineer, -0.8] as [Actor, number]] : []),
    ];
    for (const [k, [who, bias]] of raters.entries())
      await run(submitSheet, who, {
        reviewId: r.id,
        raterName: label,
        comment: k === raters.length - 1 ? (said[r.team] ?? "") : "",
        marks: shelf.criteria.map((c, j) => {
          const level = Math.round((ready[r.team] ?? 1.5) + bias + ((i + j + k) % 3) * 0.4 - 0.4);
          return { criterion: c.key, points: String(Math.min(3, Math.max(0, level))), comment: "" };
        }),
      });
    const verdict = r.team === "Downpour" ? "stop and rework" : (ready[r.team] ?? 0) > 2 ? "go on" : "go on with fixes";
    await run(decideReview, owner, { id: r.id, version: 1, verdict, note: "" });
  }
}

/** What each team was asked at the test review, and what it said. */
const asked: Readonly<Record<string, [question: string, answer: string]>> = {
  Cistern: ["What would you try with one more week?", "A second valve of the same kind, and nothing else."],
  Freshet: ["How did you find the rate?", "By counting against a metronome, five rates, three runs each."],
  Headrace: ["Where did the frame give way first?", "At the joint of the lever; the brace is in the next drawing."],
  Downpour: ["What keeps the corks from swelling?", ""],
};

/**
 * The test review after the campaign, in week 7: two to four reviewers a team, each member asked alone, what has to
 * change in the next build, and one verdict that waits.
 */
export async function testReview(
  owner: string,
  co: string,
  projectId: string,
  teams: ReadonlyMap<string, { id: string; members: readonly string[] }>,
  heldOn: string,
): Promise<void> {
  const shelf = rubricShelf.find((r) => r.name === "Reasons and records")!;
  const own = {
    key: "own",
    name: "Answers for the own part",
    weight: "1",
    levels: ["cannot say", "says what was done", "says why", "says why, and what would show it wrong"].map(
      (descriptor, points) => ({ points: String(points), descriptor }),
    ),
    individual: true,
  };
  const criteria = [...shelf.criteria, own];
  const { id: rubricId } = await run(saveRubric, owner, { projectId, name: "Test review", criteria });
  const title = "Test review";
  await run(planReviews, owner, {
    projectId,
    kind: "test",
    title,
    heldOn,
    rubricId,
    takesPart: reviewTemplates.test.takesPart,
    teamIds: [...teams.values()].map((t) => t.id),
  });
  const link = (await guestLinksOf(projectId)).find((g) => g.label === "Engineer from the town")!;
  const engineer: Actor = { kind: "guest", id: link.id, name: link.label, role: "reviewer", project: projectId };
  for (const [i, r] of (await reviewsOf(projectId)).filter((x) => x.title === title).entries()) {
    await at(heldOn, 9, i * 7);
    const members = teams.get(r.team)!.members;
    const raters: [who: string | Actor, name: string, bias: number][] = [
      [owner, "", 0.3],
      [co, "", 0.4],
      ...(i % 2 ? [[engineer, link.label, -0.7] as [Actor, string, number]] : []),
      ...(i % 4 === 1 ? [[engineer, "Retired pump fitter", 0.1] as [Actor, string, number]] : []),
    ];
    const level = (x: number) => String(Math.min(3, Math.max(0, Math.round(x))));
    for (const [k, [who, raterName, bias]] of raters.entries())
      await run(submitSheet, who, {
        reviewId: r.id,
        raterName: raterName || "Instructor",
        comment: "",
        marks: shelf.criteria.map((c, j) => ({
          criterion: c.key,
          points: level((ready[r.team] ?? 1.5) + bias + ((i + j + k) % 3) * 0.4 - 0.2),
          comment: "",
        })),
        persons: members.map((person, m) => ({
          criterion: own.key,
          person,
          points: level((ready[r.team] ?? 1.5) + bias + ((i + 2 * m + k) % 4) * 0.5 - 0.6),
        })),
      });
    const [question, answer] = asked[r.team] ?? [];
    if (question) {
      const { id } = await run(askQuestion, engineer, { reviewId: r.id, raterName: link.label, question });
      if (answer) await run(answerQuestion, members[0]!, { id, version: 1, answer });
    }
    if (r.team === "Downpour") continue;
    await run(decideReview, owner, {
      id: r.id,
      version: 1,
      verdict: (ready[r.team] ?? 0) > 2 ? "go on" : "go on with fixes",
      note: "",
    });
    if (r.team === "Headrace")
      await run(addAction, owner, {
        reviewId: r.id,
        what: "Put the brace into the next build",
        ownerId: members[1],
        dueOn: addDays(heldOn, 7),
        changesDesign: true,
      });
  }
}
