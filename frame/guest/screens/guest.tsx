import { notFound, redirect } from "next/navigation";
import type { ReactNode } from "react";
import { exhausted, guestSurface } from "@/core/access/guests";
import type { DateStyle } from "@/core/vocabulary/project";
import { db } from "@/platform/db/db";
import { writeDatesAs } from "@/platform/pages/dates";
import { projectUnits } from "@/platform/project/settings";
import { currentGuest } from "@/platform/sign-in/cookies";
import { Empty } from "@/ui/page";
import { ClientSurface } from "./client";
import { ReviewSurface } from "./review";
import { ScoringSurface } from "./scoring";

/** What each page shows, as live notices name it. */
const shows = {
  client: ["brief", "question", "concept", "needs", "review", "finding"],
  review: ["review", "action", "concept", "review question"],
  scoring: ["contest", "build"],
  board: ["contest", "team"],
} as const;

/** Where a guest's link leads: what its role needs, and nothing else. */
export async function GuestScreen({
  review,
  scoring,
}: {
  review?: string;
  /** What is scored in a project: given by the route, which may use the contest's screens. */
  scoring: (project: string) => ReactNode;
}) {
  const guest = await currentGuest();
  if (guest.kind !== "guest")
    return (
      <main className="grid min-h-dvh place-items-center p-6">
        <Empty title="Open your link again">It has expired, was taken back, or was opened in another browser.</Empty>
      </main>
    );
  const [p] = await db()<{ title: string; currency: string; dates: DateStyle | null; notices: number }[]>`
    SELECT
      title, currency, settings->>'dates' AS dates,
      coalesce((SELECT number FROM notice_count WHERE project_id = project.id), 0) AS notices
    FROM project WHERE id = ${guest.project}
  `;
  if (!p) notFound();
  writeDatesAs(p.dates);
  const surface = guestSurface[guest.role];
  const page = {
    guest,
    currency: p.currency,
    units: await projectUnits(guest.project),
    frame: {
      title: p.title,
      who: guest.name,
      live: `/api/live?project=${guest.project}`,
      since: p.notices,
      shows: shows[surface],
    },
  };
  switch (surface) {
    case "board":
      return redirect("/");
    case "scoring":
      return <ScoringSurface {...page} scoring={scoring} />;
    case "review":
      return <ReviewSurface {...page} review={review} />;
    case "client":
      return <ClientSurface {...page} />;
    default:
      return exhausted(surface);
  }
}
