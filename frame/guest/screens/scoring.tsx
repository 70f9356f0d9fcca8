import type { ReactNode } from "react";
import { contestOf, type ScoredEvent } from "@/stages/contest/queries/events";
import { Empty } from "@/ui/page";

import { type GuestPage, Surface } from "../parts/surface";

/** A judge's or scorer's page: the events that are not confirmed, each with its entries. */
export async function ScoringSurface({
  guest,
  frame,
  scoring,
}: GuestPage & {
  /** How an event is scored: given by the route, which may use the contest's screens. */
  scoring: (event: ScoredEvent, project: string) => ReactNode;
}) {
  const events = (await contestOf(guest.project)).filter((e) => e.state !== "confirmed");
  return (
    <Surface {...frame}>
      {events.length === 0 && (
        <Empty title="Nothing to score now">The instructor sets up the event; this page shows it by itself.</Empty>
      )}
      {events.map((e) => (
        <section key={e.id} className="mb-6">
          <h1>{e.name}</h1>
          <p className="mb-2 text-soft">
            {e.definition.policy.n} attempts each, {e.definition.unit}. What is saved is named below each team at once.
          </p>
          {scoring(e, guest.project)}
        </section>
      ))}
    </Surface>
  );
}
