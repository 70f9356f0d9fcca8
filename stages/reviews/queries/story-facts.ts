import "server-only";
import { longDate } from "@/platform/pages/dates";
import { failuresOf } from "@/stages/builds/queries/failures";
import { projectState } from "@/stages/needs/queries/state";
import { chapterDrafts, storyPoints } from "../view/story";
import { reviewsOf } from "./reviews";

/** What a team's story is made from: a chapter for each build from the record, and what its figure shows. */
export async function storyFacts(projectId: string, teamId: string) {
  const [state, failures, reviews] = await Promise.all([
    projectState(projectId),
    failuresOf(projectId),
    reviewsOf(projectId),
  ]);
  return {
    /** Nothing where the project has no such team. */
    team: state.teams.find((t) => t.id === teamId),
    drafts: chapterDrafts(teamId, { state, failures, reviews, longDate }),
    points: storyPoints(teamId, { state }),
  };
}
