"use client";

import dynamic from "next/dynamic";

/** What this browser keeps of captures is looked up once the page stands. */
export const LazyCapturesWaiting = dynamic(() => import("./captures-kept").then((m) => m.CapturesWaiting), {
  ssr: false,
});

/** The chart's library is loaded after the page, so that entering attempts never waits for it. */
const room = () => <div className="sheet h-[280px]" aria-hidden />;

export const LazyGenerationsChart = dynamic(() => import("./generations-chart"), {
  ssr: false,
  loading: room,
});

export const LazyInteractionChart = dynamic(() => import("./interaction-chart"), { ssr: false, loading: room });

export const LazySeriesChart = dynamic(() => import("./series-chart"), { ssr: false, loading: room });
