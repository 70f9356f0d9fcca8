import type * as row from "@/platform/db/rows";
import "server-only";
import type { ProjectUnits } from "@/core/quantity/systems";
import { db } from "@/platform/db/db";
import { failuresOf } from "@/stages/builds/queries/failures";
import { proposalOf } from "@/stages/concepts/queries/concepts";
import { projectState } from "@/stages/needs/queries/state";
import { benchmarkOf } from "@/stages/records/view/records";
import { packetView } from "../view/packet";
import { wishesOf } from "./packet";
import { reviewsOf } from "./reviews";

/** A review with the packet of its team; without one while nothing is built, null where there is no such review. */
export async function packetOf(project: { id: string; currency: string }, units: ProjectUnits, reviewId: string) {
  const [reviews, state, failures, wishes, [edition]] = await Promise.all([
    reviewsOf(project.id),
    projectState(project.id),
    failuresOf(project.id),
    wishesOf(project.id),
    db()<Pick<row.Project, "editionOf">[]>`SELECT edition_of FROM project WHERE id = ${project.id}`,
  ]);
  const review = reviews.find((r) => r.id === reviewId);
  if (!review) return null;
  const build = state.builds.find((b) => b.id === review.buildId) ?? null;
  if (!build) return { review, build, packet: null };
  const primary = state.protocols[0];
  const [proposal, benchmark] = await Promise.all([
    proposalOf(review.teamId),
    primary ? benchmarkOf(edition?.editionOf ?? null, primary.name, primary.definition.primary) : null,
  ]);
  const { currency } = project;
  const facts = { state, reviews, failures, wishes, proposal, benchmark, units, currency };
  const packet = packetView(review, build, facts);
  return { review, build, packet };
}
