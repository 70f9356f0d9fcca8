"use client";

import { type CSSProperties, type ReactNode, useEffect, useState } from "react";
import { cx } from "@/ui/classes";
import type { BoardState } from "../../view/board-face";

/** The colours of a board: dark for halls, light for beamers in a bright room. */
const dark = {
  "--board-ground": "#1e1b18",
  "--board-ink": "#f6f1e8",
  "--board-soft": "#b9aea0",
  "--board-accent": "#e39a7c",
  "--board-line": "#38332d",
} as CSSProperties;
const light = {
  "--board-ground": "#fbf9f5",
  "--board-ink": "#231f1b",
  "--board-soft": "#544c43",
  "--board-accent": "#9a3b22",
  "--board-line": "#ded6c8",
} as CSSProperties;

/** The time of day, from the board's own clock. */
function Clock() {
  const [now, setNow] = useState("");
  useEffect(() => {
    const tick = () => setNow(new Date().toTimeString().slice(0, 5));
    tick();
    const timer = setInterval(tick, 5000);
    return () => clearInterval(timer);
  }, []);
  return <p className="text-[clamp(22px,2.4vw,56px)] font-[650]">{now || "\u00a0"}</p>;
}

/** What every board has: what it is, the time, what is on, and a line at the foot. */
export const BoardFrame = ({
  state,
  asOf,
  lost,
  clock,
  children,
}: {
  state: BoardState;
  /** When what it shows came in, on the board's own clock; empty at first. */
  asOf: string;
  lost: boolean;
  /** The time that it shows, where that is not now. */
  clock?: string;
  children: ReactNode;
}) => (
  <main
    style={state.light ? light : dark}
    className={
      "flex min-h-dvh flex-col bg-[var(--board-ground)] px-[2.3vw] py-[2.2vw] text-[var(--board-ink)] " +
      "[&_.soft]:text-[var(--board-soft)] [&_.accent]:text-[var(--board-accent)]"
    }
  >
    <header className="flex items-start justify-between gap-8">
      <div>
        <h1 className="text-[clamp(24px,2.7vw,60px)] [font-stretch:112%]">{state.title}</h1>
        <p className="soft text-[clamp(14px,1.35vw,30px)]">
          {state.says.map((s) =>
            s.strong ? (
              <strong key={s.text} className="accent">
                {s.text}
              </strong>
            ) : (
              s.text
            ),
          )}
        </p>
      </div>
      <div className="text-right">
        {clock ? <p className="text-[clamp(22px,2.4vw,56px)] font-[650]">{clock}</p> : <Clock />}
        <p className="soft text-[clamp(11px,0.95vw,22px)]">
          {[state.seed, asOf && `as of ${asOf}`].filter(Boolean).join(" · ")}{" "}
          <span role="status" className="accent">
            {lost && "No connection: what you see may be old"}
          </span>
        </p>
      </div>
    </header>
    {state.halt && (
      <p
        role="alert"
        className={cx(
          "mt-[1.2vw] px-[1.2vw] py-[0.8vw] text-[clamp(20px,3vw,72px)] font-[650]",
          state.light ? "bg-[#9a3b22] text-white" : "bg-[#f6f1e8] text-[#9a3b22]",
        )}
      >
        Halted: {state.halt}
      </p>
    )}
    {state.call && (
      <p
        role="status"
        className={cx(
          "mt-[1.2vw] px-[1.2vw] py-[0.8vw] text-[clamp(20px,3vw,72px)] font-[650]",
          state.light ? "bg-[#41586a] text-white" : "bg-[#8fb4cc] text-[#1e1b18]",
        )}
      >
        {state.call}
      </p>
    )}
    {children}
    <footer className="soft mt-auto pt-[1.5vw] text-[clamp(12px,1.1vw,26px)]">{state.foot}</footer>
  </main>
);
