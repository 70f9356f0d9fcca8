import { notFound } from "next/navigation";
import { contestOf } from "@/data/contest";
import { db } from "@/data/db";
import { guestActor } from "@/data/people";
import { projectPage } from "@/server/page";
import { Board } from "./board";

/** The board by a guest link: its secret is all it takes, and all it shows is the contest. */
export async function LinkBoardScreen({ secret }: { secret: string }) {
  const guest = await guestActor(secret);
  if (guest.kind !== "guest" || guest.role !== "board") notFound();
  const [p] = await db()<{ title: string }[]>`SELECT title FROM project WHERE id = ${guest.project}`;
  return (
    <Board
      title={`${p?.title ?? ""} contest`}
      events={await contestOf(guest.project)}
      liveUrl={`/api/live?board=${secret}`}
    />
  );
}

/** The board for somebody who is signed in. */
export async function OwnBoardScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, "contest.read");
  return (
    <Board
      title={`${frame.project.title} contest`}
      events={await contestOf(frame.project.id)}
      liveUrl={`/api/live?project=${frame.project.id}`}
    />
  );
}
