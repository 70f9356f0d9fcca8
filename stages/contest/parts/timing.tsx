"use client";

import dynamic from "next/dynamic";
import { Fold } from "@/ui/fold";
import { keptToo } from "@/ui/kept-too";
import { Stopwatch } from "./stopwatch";

const loadGates = keptToo(() => import("./light-gates"));
const LightGates = dynamic(() => loadGates().then((m) => m.LightGates), {
  ssr: false,
  loading: () => <p className="text-soft">Light gates are being loaded.</p>,
});

/** The watches and the light gates, folded away below a field; they open without a network as the page does. */
export const Timing = () => (
  <Fold label="Stopwatch and light gates" className="mt-5" labelClass="min-h-11 text-soft">
    <div className="mt-3 grid gap-5">
      <Stopwatch />
      <LightGates />
    </div>
  </Fold>
);
