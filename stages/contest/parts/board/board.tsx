"use client";

import { useEffect, useState } from "react";
import { type BoardChange, withChange } from "../../view/board-change";
import type { BoardState } from "../../view/board-face";
import { Face } from "./faces";
import { BoardFrame } from "./frame";

/**
 * A board on a screen in the hall: what it shows comes with each change, so that it asks for nothing by itself, and
 * comes back by itself when the line was lost. Nothing private is on it.
 */
export function Board({ first, url }: { first: BoardState; url: string }) {
  const [state, setState] = useState(first);
  const [asOf, setAsOf] = useState("");
  const [lost, setLost] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const source = new EventSource(url);
    let now: BoardState | null = null;
    const shows = (next: BoardState | null) => {
      now = next;
      if (!next) return;
      setState(next);
      setAsOf(new Date().toTimeString().slice(0, 8));
      setLost(false);
    };
    source.addEventListener("board", (e) => shows(JSON.parse(e.data) as BoardState));
    source.addEventListener("change", (e) => {
      const next = now && withChange(now, JSON.parse(e.data) as BoardChange);
      // A change of something else than what stands here: all of it is asked for again.
      if (now && !next) setTries((n) => n + 1);
      shows(next);
    });
    source.addEventListener("open", () => setLost(false));
    source.addEventListener("error", () => setLost(true));
    // The line to the server stands, but the server itself does not hear of writes for the moment.
    source.addEventListener("again", () => setLost(false));
    source.addEventListener("lost", () => setLost(true));
    return () => source.close();
  }, [url, tries]);
  return (
    <BoardFrame state={state} asOf={asOf} lost={lost}>
      <Face state={state} />
    </BoardFrame>
  );
}
