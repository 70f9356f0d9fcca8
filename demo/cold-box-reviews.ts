import { addDays } from "@/core/sessions/date";
import { planAtOnce } from "@/core/slots/solver";
import { planReviews, saveRubric } from "@/stages/reviews/commands/planning";
import { saveSlots } from "@/stages/reviews/commands/slots";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { rubricShelf } from "@/stages/reviews/view/rubric-shelf";
import { freshSlots, sentSlots, slotProblem, typedSlots } from "@/stages/reviews/view/slots";
import { at, run } from "./run";

/** Six reviewers of the concept review, and when each of them can come on its two days. */
const hours: readonly (readonly [string, string, string])[] = [
  ["Vet of the clinic", "9:00-10:20", "-"],
  ["Clinic's driver", "-", "13:00-14:00"],
  ["Refrigeration engineer", "9:40-11:00", "13:30-15:00"],
  ["Materials lecturer", "", "-"],
  ["Cold-chain pharmacist", "10:00-11:00", "13:00-13:50"],
  ["Head of the workshop", "9:00-9:50, 10:40-11:00", ""],
];

/** The concept review of the Cold Box next week: four teams, three reviewers each, who all have little time. */
export async function conceptReview(
  owner: string,
  projectId: string,
  teams: readonly { id: string }[],
  start: string,
): Promise<void> {
  const day = addDays(start, 21);
  await at(addDays(start, 15), 16);
  const { id: rubricId } = await run(saveRubric, owner, {
    projectId,
    name: "Concept review",
    criteria: rubricShelf[0]!.criteria,
  });
  const title = "Concept review";
  await run(planReviews, owner, { projectId, title, heldOn: day, rubricId, teamIds: teams.map((t) => t.id) });
  const reviews = (await reviewsOf(projectId)).filter((r) => r.title === title);
  const definition = {
    ...freshSlots(day, 20),
    least: 3,
    most: 4,
    rooms: ["Seminar room 2"],
    days: [
      { day, hours: "9:00-11:00" },
      { day: addDays(day, 1), hours: "13:00-15:00" },
    ],
    reviewers: hours.map(([name, ...typed]) => ({ name, hours: typed })),
  };
  // One team is on a visit on the first morning.
  const taking = reviews.map((r) => ({
    reviewId: r.id,
    team: r.team,
    meets: null,
    hours: r.team === "Serac" ? ["10:15-11:00", ""] : [],
  }));
  const plan = planAtOnce(slotProblem(definition, taking));
  if (!plan.ok) throw new Error("The demo's reviewers have too little time");
  await run(saveSlots, owner, {
    projectId,
    title,
    ...sentSlots({ ...typedSlots(definition, taking), places: [...plan.places] }),
  });
}
