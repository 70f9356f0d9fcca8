"use client";

import dynamic from "next/dynamic";

/** The chart's library is loaded after the page, so that entering attempts never waits for it. */
export const LazyGenerationsChart = dynamic(() => import("./generations-chart"), {
  ssr: false,
  loading: () => <div className="sheet h-[280px]" aria-hidden />,
});
