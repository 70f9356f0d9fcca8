import type { ReactNode } from "react";
import { type GuestPage, Surface } from "../parts/surface";

/** A judge's or scorer's page: what there is to score. */
export const ScoringSurface = ({
  guest,
  frame,
  scoring,
}: GuestPage & {
  /** What is scored in a project: given by the route, which may use the contest's screens. */
  scoring: (project: string) => ReactNode;
}) => (
  // Thirty scorers write all the time: what the others wrote is shown after a while, what oneself wrote at once.
  <Surface {...frame} every={15_000}>
    {scoring(guest.project)}
  </Surface>
);
