"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { isOurs } from "./own-requests";

/**
 * Loads the page again when somebody else writes to the project about something that it shows, also when that was
 * between its making and now; says when the line is lost. `shows` names the kinds of things, for every page alike or by
 * the first part of the address below `base`.
 */
export function LiveRefresh({
  url,
  shows,
  base = "",
  since,
  every = 60,
}: {
  url: string;
  /** The number of the last notice that the page as it was made knows of. */
  since: number;
  shows: readonly string[] | Readonly<Record<string, readonly string[]>>;
  base?: string;
  /** Milliseconds between two loads at least, also when more is written meanwhile. */
  every?: number;
}) {
  const place = usePathname().slice(base.length).split("/")[1] ?? "";
  const about = ("length" in shows ? (shows as readonly string[]) : (shows[place] ?? [])).join(",");
  const router = useRouter();
  const [lost, setLost] = useState(false);
  const known = useRef(since);
  known.current = Math.max(known.current, since);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let away = false;
    let owed = false;
    const source = new EventSource(`${url}${about && `&about=${about}`}&since=${known.current}`);
    const hear = (e: MessageEvent) => {
      const { request, number } = JSON.parse(e.data) as { request?: string | null; number?: number | null };
      if (typeof number === "number") known.current = Math.max(known.current, number);
      return request;
    };
    let last = 0;
    const soon = () => {
      clearTimeout(timer);
      timer = setTimeout(
        () => {
          // A load that fails would leave the browser's own error in the place of the page: it waits for the network.
          owed = away || !navigator.onLine;
          if (owed) return;
          last = Date.now();
          router.refresh();
        },
        Math.max(60, last + every - Date.now()),
      );
    };
    source.addEventListener("change", (e) => {
      if (!isOurs(hear(e) ?? null)) soon();
    });
    const settle = () => owed && soon();
    const back = () => {
      away = false;
      settle();
      setLost(false);
    };
    const gone = () => {
      away = true;
      owed = true;
      setLost(true);
    };
    source.addEventListener("ready", (e) => {
      hear(e);
      back();
    });
    source.addEventListener("error", gone);
    // The line to the server stands, but the server itself does not hear of writes for the moment.
    source.addEventListener("again", back);
    source.addEventListener("lost", gone);
    window.addEventListener("online", settle);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("online", settle);
      source.close();
    };
  }, [router, url, about, every]);
  return (
    <span role="status" className="text-sm text-iron">
      {lost ? "No connection: what you see may be old" : ""}
    </span>
  );
}
