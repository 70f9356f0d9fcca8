import type { CSSProperties } from "react";
import { formatNumber } from "@/core/quantity/quantity";
import { cx } from "@/ui/classes";
import type { ContestEvent } from "../queries/events";
import type { MatchEvent } from "../queries/matches";
import { onBoard } from "../view/board";
import { BoardFrame, MatchBoard } from "./match-board";

/**
 * The board on a second screen: standings of the running event, who is next, everything readable from the back row.
 * Nothing private on it.
 */
export function Board({
  title,
  events,
  matches,
  wanted,
  liveUrl,
  since,
}: {
  title: string;
  events: ContestEvent[];
  matches: readonly MatchEvent[];
  /** The event that it was asked to show; else the one that runs. */
  wanted?: string;
  liveUrl: string;
  /** The number of the last notice that it knows of. */
  since: number;
}) {
  const { event, race } = onBoard(events, matches, wanted);
  if (race) return <MatchBoard title={title} event={race} liveUrl={liveUrl} since={since} />;
  const d = event?.definition;
  const next = event && event.state !== "confirmed" ? upNext(event) : [];
  const scored = event?.entries.reduce((n, e) => n + e.taken, 0) ?? 0;
  const total = event
    ? event.entries.filter((n) => n.inspection !== "turned away").length * event.definition.policy.n
    : 0;
  const ties = event ? tieWords(event) : "";
  return (
    <BoardFrame
      title={title}
      says={
        event ? (
          <>
            {event.name}
            {event.state === "confirmed" ? " · final result" : ` · attempt ${Math.min(scored + 1, total)} of ${total}`}
            {next[0] && (
              <>
                {" "}
                · next: <strong className="text-[#E39A7C]">{next[0]}</strong>
                {next[1] && <>, then {next[1]}</>}
              </>
            )}
          </>
        ) : (
          "The contest has no event yet."
        )
      }
      seed={event?.orderSeed ? `run order drawn with seed ${event.orderSeed}` : ""}
      foot={ties}
      liveUrl={liveUrl}
      since={since}
    >
      {event && d && (
        <table
          // The rows share the height that there is: eight teams fill a projector, thirty still stand on it.
          style={{ "--row": `calc((100dvh - 15vw) / ${Math.max(4, event.standings.length)})` } as CSSProperties}
          className={
            "mt-[1.2vw] w-full border-collapse text-[clamp(15px,min(calc(var(--row)*0.5),3.4vw),72px)] " +
            "leading-[1.05] [&_tbody_tr]:h-[var(--row)]"
          }
        >
          <thead>
            <tr className="border-b border-[#4a443d] text-left text-[clamp(12px,1.1vw,26px)] text-[#b9aea0]">
              <th className="w-[4.5em] py-[0.3vw] font-normal">Place</th>
              <th className="font-normal">Team</th>
              <th className="font-normal">Attempts</th>
              <th className="text-right font-normal">
                {d.policy.school === "best" ? `best of ${d.policy.n}` : d.policy.school}
              </th>
              {d.points && <th className="pl-[3vw] text-right font-normal">points</th>}
            </tr>
          </thead>
          <tbody>
            {event.standings.map((s) => (
              <tr key={s.id} className="border-b border-[#38332d]">
                <td className="text-[1.12em] font-[650] text-[#E39A7C]">
                  {s.place === null ? "–" : Number.isInteger(s.place) ? s.place : `${Math.floor(s.place)}½`}
                </td>
                <td className={cx("font-[550] wrap-break-word", s.name === next[0] && "text-[#E39A7C]")}>{s.name}</td>
                <td className="text-[0.8em] text-[#b9aea0]">
                  {Array.from({ length: d.policy.n }, (_, i) => s.attempts[i]).map((a, i) => (
                    <span key={i}>
                      {i > 0 && " · "}
                      <span className={cx(a?.counts && "text-[#f6f1e8]")}>{a?.text ?? "–"}</span>
                    </span>
                  ))}
                </td>
                <td className="text-right font-[650]">
                  {s.shown}
                  <span className="ml-[0.25em] text-[0.62em] font-normal text-[#b9aea0]">{d.unit}</span>
                </td>
                {d.points && (
                  <td className="pl-[3vw] text-right text-[#d8cfc2]">
                    {s.points === null ? "–" : formatNumber(s.points, 1)}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </BoardFrame>
  );
}

/** Who attempts next: in run order, those with the fewest attempts first. */
function upNext(event: ContestEvent): string[] {
  const n = event.definition.policy.n;
  return event.entries
    .filter((e) => e.inspection === "passed" && e.taken < n)
    .sort((a, b) => a.taken - b.taken || (a.runOrder ?? 999) - (b.runOrder ?? 999))
    .map((e) => e.team);
}

function tieWords(event: ContestEvent): string {
  const shared = event.standings.filter((s) => s.shared && s.place !== null);
  if (!shared.length)
    return event.definition.resolution
      ? `The rig reads to ${event.definition.resolution} ${event.definition.unit}.`
      : "";
  const first = shared.filter((s) => s.place === shared[0]!.place);
  return (
    `${first.map((s) => s.name).join(" and ")} tie at ${first[0]!.shown}` +
    (event.definition.resolution ? `: the rig reads to ${event.definition.resolution} ${event.definition.unit}` : "") +
    "."
  );
}
