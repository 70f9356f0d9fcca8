import type { Actor } from "@/core/access/can";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { planReviews, saveRubric } from "@/stages/reviews/commands/planning";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
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
