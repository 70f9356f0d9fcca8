import type { ReactNode } from "react";
import { isElimination } from "@/core/contest/matches";
import { cx } from "@/ui/classes";
import { LiveRefresh } from "@/ui/live";
import type { MatchEvent } from "../queries/matches";
import { bracketView } from "../view/bracket";
import { allPlaced, playedView, progressOf, toPlay } from "../view/lives";
import { BracketChart } from "./bracket-chart";
import { AsOf, Clock } from "./buttons";

/** What every board has: what it is, the time, what is next, and a line at the foot. */
export const BoardFrame = ({
  title,
  says,
  seed,
  foot,
  liveUrl,
  since,
  children,
}: {
  title: string;
  says: ReactNode;
  seed: string;
  foot: ReactNode;
  liveUrl: string;
  since: number;
  children: ReactNode;
}) => (
  <main className="flex min-h-dvh flex-col bg-[#1e1b18] px-[2.3vw] py-[2.2vw] text-[#f6f1e8]">
    <header className="flex items-start justify-between gap-8">
      <div>
        <h1 className="text-[clamp(24px,2.7vw,60px)] [font-stretch:112%]">{title}</h1>
        <p className="text-[clamp(14px,1.35vw,30px)] text-[#b9aea0]">{says}</p>
      </div>
      <div className="text-right">
        <Clock />
        <p className="text-[clamp(11px,0.95vw,22px)] text-[#b9aea0]">
          {seed && `${seed} `}
          <AsOf at={new Date().toISOString()} />
          <LiveRefresh url={liveUrl} since={since} dark shows={["contest", "team"]} />
        </p>
      </div>
    </header>
    {children}
    <footer className="mt-auto pt-[1.5vw] text-[clamp(12px,1.1vw,26px)] text-[#b9aea0]">{foot}</footer>
  </main>
);

/** An event of matches on the board: its bracket as large as it goes, or the table, and who plays now. */
export function MatchBoard({
  title,
  event,
  liveUrl,
  since,
}: {
  title: string;
  event: MatchEvent;
  liveUrl: string;
  since: number;
}) {
  const played = playedView(event);
  const next = toPlay(played);
  const drawing = bracketView(played.matches, played.names);
  const champion = event.standings.find((s) => s.place === 1 && s.sharing === 1);
  return (
    <BoardFrame
      title={title}
      says={
        <>
          {event.name} · {progressOf(played.matches)}
          {next[0] && (
            <>
              {" "}
              · now: <strong className="text-[#E39A7C]">{next[0].teams.join(" against ")}</strong>
              {next[1] && <>, then {next[1].teams.join(" against ")}</>}
            </>
          )}
          {allPlaced(event.standings) && champion && (
            <>
              {" "}
              · first: <strong className="text-[#E39A7C]">{champion.name}</strong>
            </>
          )}
        </>
      }
      seed={event.drawSeed ? `seeds drawn with seed ${event.drawSeed}` : ""}
      foot={event.rules.format === "double" ? "Who has lost twice is out." : ""}
      liveUrl={liveUrl}
      since={since}
    >
      {isElimination(event.rules.format) ? (
        <BracketChart
          dark
          drawing={drawing}
          label={`Bracket of ${event.name}`}
          className="mt-[1vw] max-h-[78dvh] w-full"
        />
      ) : (
        <table className="mt-[1.2vw] w-full border-collapse text-[clamp(15px,2.6vw,64px)] leading-[1.15]">
          <thead>
            <tr className="border-b border-[#4a443d] text-left text-[clamp(12px,1.1vw,26px)] text-[#b9aea0]">
              <th className="w-[4.5em] py-[0.3vw] font-normal">Place</th>
              <th className="font-normal">Team</th>
              <th className="text-right font-normal">Won</th>
              <th className="text-right font-normal">Lost</th>
              <th className="text-right font-normal">Points</th>
            </tr>
          </thead>
          <tbody>
            {event.standings.map((s) => (
              <tr key={s.id} className="border-b border-[#38332d]">
                <td className="font-[650] text-[#E39A7C]">{s.place ?? "–"}</td>
                <td className={cx("font-[550]", next[0]?.teams.includes(s.name) && "text-[#E39A7C]")}>{s.name}</td>
                <td className="text-right">{s.won}</td>
                <td className="text-right">{s.lost}</td>
                <td className="text-right font-[650]">{s.points}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </BoardFrame>
  );
}
