import "server-only";
import { longDate } from "@/platform/pages/dates";
import { failuresOf } from "@/stages/builds/queries/failures";
import { projectState } from "@/stages/needs/queries/state";
import { chapterDrafts, storyPoints } from "../view/story";
import { reviewsOf } from "./reviews";

/** What a team's story is made from: what its figure shows, and a chapter for each build from the record. */
export async function storyFacts(projectId: string, teamId: string) {
  const state = await projectState(projectId);
  return {
    /** Nothing where the project has no such team. */
    team: state.teams.find((t) => t.id === teamId),
    points: storyPoints(teamId, { state }),
    /** Asked for where a story is edited. */
    async drafts() {
      const [failures, reviews] = await Promise.all([failuresOf(projectId), reviewsOf(projectId)]);
      return chapterDrafts(teamId, { state, failures, reviews, longDate });
    },
  };
}
