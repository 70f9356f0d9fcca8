import { notFound } from "next/navigation";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import { guestActor } from "@/platform/sign-in/actors";
import { Board } from "../parts/board";
import { eventsOf } from "../queries/events";
import { matchEventsOf } from "../queries/matches";

/** The board by a guest link: its secret is all it takes, and all it shows is the contest. */
export async function LinkBoardScreen({ secret, event }: { secret: string; event?: string }) {
  const guest = await guestActor(secret);
  if (guest.kind !== "guest" || guest.role !== "board") notFound();
  const [p] = await db()<{ title: row.Project["title"]; notices: number }[]>`
    SELECT title, coalesce((SELECT number FROM notice_count WHERE project_id = project.id), 0) AS notices
    FROM project
    WHERE id = ${guest.project}
  `;
  const [events, matches] = await Promise.all([eventsOf(guest.project), matchEventsOf(guest.project)]);
  return (
    <Board
      title={`${p?.title ?? ""} contest`}
      events={events}
      matches={matches}
      wanted={event}
      since={p?.notices ?? 0}
      liveUrl={`/api/live?board=${secret}`}
    />
  );
}
