"use client";

import { useEffect, useState } from "react";
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
  useEffect(() => {
    const source = new EventSource(url);
    source.addEventListener("board", (e) => {
      setState(JSON.parse(e.data) as BoardState);
      setAsOf(new Date().toTimeString().slice(0, 8));
      setLost(false);
    });
    source.addEventListener("open", () => setLost(false));
    source.addEventListener("error", () => setLost(true));
    // The line to the server stands, but the server itself does not hear of writes for the moment.
    source.addEventListener("again", () => setLost(false));
    source.addEventListener("lost", () => setLost(true));
    return () => source.close();
  }, [url]);
  return (
    <BoardFrame state={state} asOf={asOf} lost={lost}>
      <Face state={state} />
    </BoardFrame>
  );
}
