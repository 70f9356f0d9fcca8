"use client";

import dynamic from "next/dynamic";

/** The drawing's library is loaded after the page. */
export const LazyTree = dynamic(() => import("./tree-chart"), {
  ssr: false,
  loading: () => <div className="sheet h-[320px]" aria-hidden />,
});

export const LazyTrend = dynamic(() => import("./trend-chart"), {
  ssr: false,
  loading: () => <div className="h-[200px]" aria-hidden />,
});
