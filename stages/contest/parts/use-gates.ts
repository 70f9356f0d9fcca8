"use client";

import { useEffect, useRef, useState } from "react";
import { type GateEdge, gateEdges } from "@/core/instrument/gates";
import { lineCutter, readLine } from "@/core/instrument/line";
import { simulatedInstrument } from "@/core/instrument/simulated";
import { hearStream } from "@/ui/instrument/hear";
import { plug } from "@/ui/instrument/serial";
import { simulationOf } from "@/ui/instrument/simulation";
import { type Source, unusableSimulation } from "@/ui/instrument/source";

/** Changes that are kept: thousands of passages. */
const most = 4000;

/** What light gates have said up to now. */
interface Heard {
  readonly edges: readonly GateEdge[];
  /** The gates that have said anything. */
  readonly gates: readonly string[];
  /** Lines that could not be used, and why the last one could not. */
  readonly left: { readonly count: number; readonly why: string };
}
const silence: Heard = { edges: [], gates: [], left: { count: 0, why: "" } };

/** Light gates that are listened to on a cable, or simulated. */
export function useGates() {
  const [heard, setHeard] = useState(silence);
  const [listens, setListens] = useState<"" | "cable" | "simulated">("");
  const [note, setNote] = useState("");
  const stop = useRef(() => {});
  useEffect(() => () => stop.current(), []);

  /** Takes lines; the page hears of them only where they bring something. */
  function listener(step: number) {
    const edge = gateEdges(step);
    const gates = new Set<string>();
    return (lines: readonly string[]) => {
      const found: GateEdge[] = [];
      let [bad, why] = [0, ""];
      const before = gates.size;
      for (const read of lines.map(readLine)) {
        if (read.kind === "note") continue;
        const wrong =
          read.kind === "bad"
            ? read.why
            : read.sample.unit !== "1" &&
              `${read.sample.channel} comes in ${read.sample.unit}; a light gate says 0 or 1, in the unit 1`;
        if (wrong) [bad, why] = [bad + 1, wrong];
        if (wrong || read.kind === "bad") continue;
        gates.add(read.sample.channel);
        const change = edge(read.sample);
        if (change) found.push(change);
      }
      if (found.length || bad || gates.size > before)
        setHeard((h) => ({
          edges: [...h.edges, ...found].slice(-most),
          gates: [...gates],
          left: bad ? { count: h.left.count + bad, why } : h.left,
        }));
    };
  }

  function simulate(source: Source, take: (lines: readonly string[]) => void): boolean {
    const simulation = source.from === "cable" ? null : simulationOf(source.from, source.typed);
    if (!simulation) {
      setNote(unusableSimulation);
      return false;
    }
    const sends = simulatedInstrument(simulation);
    const began = performance.now();
    let next = 0;
    const timer = setInterval(() => {
      const lines: string[] = [];
      for (const until = ((performance.now() - began) / 1000) * simulation.rate; next <= until; next++)
        lines.push(...sends(next));
      take(lines);
    }, 50);
    stop.current = () => clearInterval(timer);
    return true;
  }

  async function hear(source: Source, take: (lines: readonly string[]) => void): Promise<boolean> {
    const port = await plug(source.baud);
    if ("why" in port) {
      setNote(port.why);
      return false;
    }
    const cut = lineCutter();
    const letGo = hearStream(
      port.stream,
      (piece) => take(cut(piece)),
      (why) => {
        setNote(`The gates were lost: ${why ?? "they send nothing any more"}. The times that they took stand below.`);
        port.close();
        setListens("");
      },
    );
    stop.current = () => {
      void letGo();
      port.close();
    };
    return true;
  }

  return {
    ...heard,
    listens,
    note,
    /** Begins anew. `step` is the step of the gates' clock in seconds. */
    async begin(source: Source, step: number) {
      setNote("");
      setHeard(silence);
      const take = listener(step);
      const begun = source.from === "cable" ? await hear(source, take) : simulate(source, take);
      if (begun) setListens(source.from === "cable" ? "cable" : "simulated");
    },
    end() {
      stop.current();
      setListens("");
    },
  };
}
