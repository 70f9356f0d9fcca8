import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { contestActs } from "../acts";
import { Face } from "../parts/board/faces";
import { BoardFrame } from "../parts/board/frame";
import { momentsOf, replayedSource } from "../queries/replay";
import { boardState } from "../view/board-face";
import { replayAt } from "../view/replay";

/** A contest's day once more on a board, moment by moment or hour by hour. */
export async function ReplayScreen({ slug, at, event }: { slug: string; at?: string; event?: string }) {
  const { frame } = await projectPage(slug, contestActs.read);
  const moments = await momentsOf(frame.project.id);
  const replay = replayAt(moments, at);
  if (!replay) notFound();
  const source = await replayedSource(frame.project.id, moments, replay.at);
  if (!source) notFound();
  const state = boardState(source, { event });
  const href = (to: string) => `/screen/${slug}/replay?at=${encodeURIComponent(to)}${event ? `&event=${event}` : ""}`;
  const step = "min-h-11 inline-flex items-center px-3 underline";
  return (
    <BoardFrame state={{ ...state, title: `${state.title}, replayed` }} asOf="" lost={false} clock={replay.clock}>
      <nav aria-label="Replay" className="-ml-3 flex flex-wrap items-center text-[clamp(13px,1.1vw,22px)]">
        {replay.before && (
          <Link className={step} href={href(replay.before)}>
            earlier
          </Link>
        )}
        {replay.after && (
          <Link className={step} href={href(replay.after)}>
            later
          </Link>
        )}
        {replay.hours.map((h) => (
          <Link key={h.at} className={step} href={href(h.at)} aria-current={h.at === replay.at ? "true" : undefined}>
            {h.label}
          </Link>
        ))}
      </nav>
      <Face state={state} />
      <ol aria-label="What happened in this hour" className="soft mt-[1vw] text-[clamp(12px,1vw,20px)]">
        {replay.happened.map((h) => (
          <li key={h.key}>
            {h.clock} {h.label}
          </li>
        ))}
      </ol>
    </BoardFrame>
  );
}
