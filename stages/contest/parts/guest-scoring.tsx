import { requirementLimits } from "../queries/attempts";
import type { ScoredEvent } from "../queries/events";
import { Scoring } from "./scoring";

/** Inspection and scoring for judges and scorers: large targets, in the guest's name. */
export async function GuestScoring({ event, project }: { event: ScoredEvent; project: string }) {
  const limits = await requirementLimits(project);
  return <Scoring event={event} via="guest" large limits={limits} />;
}
