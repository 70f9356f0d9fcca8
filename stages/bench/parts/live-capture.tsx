"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import type { Measure } from "@/core/run/protocol";
import { takingOf } from "@/core/series/measure";
import { instrumentKind } from "@/core/vocabulary/instruments";
import { plug } from "@/ui/instrument/serial";
import { fittingInstruments, simulationOf } from "@/ui/instrument/simulation";
import { LiveSource, type Source, simulatedSource, unusableSimulation } from "@/ui/instrument/source";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import type { Live } from "../capture/engine";
import { beginCapture, type Capture, endCapture } from "../capture/store";
import { CaptureKept } from "./captures-kept";
import { LiveReadings } from "./live-readings";
import { useCaptures } from "./use-captures";

/** An instrument that is listened to: begun, drawn while it comes, ended, and sent as it fills. */
export function LiveCapture({
  slug,
  buildId,
  protocolVersionId,
  page,
  measures,
}: {
  slug: string;
  buildId: string;
  protocolVersionId: string;
  /** Where this page stands. */
  page: string;
  /** The readings that the protocol takes from a series. */
  measures: readonly Measure[];
}) {
  const ready = useReady();
  const router = useRouter();
  const fitting = fittingInstruments(measures);
  const first = fitting[0] ?? "scale";
  const [source, setSource] = useState<Source>(simulatedSource(first));
  const [live, setLive] = useState<Live | null>(null);
  const [running, setRunning] = useState<Capture | null>(null);
  const [ending, setEnding] = useState(false);
  const [note, setNote] = useState("");
  const worker = useRef<Worker | null>(null);
  /** The capture that this page began or ended: where it arrives, its series is shown. */
  const mine = useRef("");
  const cable = useRef(() => {});
  const { kept, offline, closed, open, look, drop } = useCaptures((there, [series]) => {
    if (there.id !== mine.current) return;
    if (series) return router.push(`/p/${slug}/bench/series?id=${series}`);
    setEnding(false);
    setNote("Nothing came that a reading takes, so nothing was kept.");
  });
  useEffect(() => () => worker.current?.terminate(), []);

  function listen(capture: Capture, stream?: ReadableStream<Uint8Array>) {
    const w = new Worker(new URL("../../../workers/capture.ts", import.meta.url));
    worker.current = w;
    mine.current = capture.id;
    const over = () => {
      w.terminate();
      cable.current();
      setRunning(null);
      void look();
    };
    w.onmessage = (e: MessageEvent<{ live: Live } | { ended: true } | { lost: string }>) => {
      if ("live" in e.data) return setLive(e.data.live);
      if ("lost" in e.data) setNote(e.data.lost);
      over();
    };
    w.onerror = () => {
      setNote("Listening failed in this browser. What is shown is kept.");
      over();
    };
    const rules = Object.fromEntries(measures.map((m) => [m.key, takingOf(m.take!)]));
    w.postMessage({ capture, rules, stream }, stream ? [stream as never] : []);
    setRunning(capture);
  }

  /** The cable's stream where a real instrument is meant; null where it cannot be had, with the reason shown. */
  async function plugIn(): Promise<ReadableStream<Uint8Array> | null> {
    const port = await plug(source.baud);
    if ("why" in port) {
      setNote(port.why);
      return null;
    }
    cable.current = port.close;
    return port.stream;
  }

  async function begin() {
    setNote("");
    setEnding(false);
    const real = source.from === "cable";
    const simulation = source.from === "cable" ? null : simulationOf(source.from, source.typed);
    if (!real && !simulation) return setNote(unusableSimulation);
    const stream = real ? await plugIn() : undefined;
    if (stream === null) return;
    const capture: Capture = {
      id: crypto.randomUUID(),
      buildId,
      protocolVersionId,
      page,
      startedAt: Date.now(),
      source: simulation
        ? `Simulated: ${instrumentKind.labels[simulation.kind]}, seed ${simulation.seed}`
        : "Instrument on a cable",
      readings: measures.map((m) => ({
        key: m.key,
        name: m.name,
        unit: m.take!.unit,
        channel: m.take!.channel,
        seriesId: crypto.randomUUID(),
      })),
      simulation,
    };
    setLive(null);
    await beginCapture(await open(), capture);
    listen(capture, stream);
  }

  async function goOn(capture: Capture) {
    setNote("");
    setEnding(false);
    const stream = capture.simulation ? undefined : await plugIn();
    if (stream !== null) listen(capture, stream);
  }

  async function end(capture: Capture) {
    mine.current = capture.id;
    setEnding(true);
    await endCapture(await open(), capture.id);
    await look();
  }

  const others = kept.filter(
    (k) => k.capture.id !== running?.id && !(k.ended && k.capture.id === mine.current && !k.refused),
  );
  const sending = ending && kept.some((k) => k.ended && k.capture.id === mine.current);
  return (
    <div className="grid max-w-[980px] gap-4">
      {others.map((k) => (
        <CaptureKept
          key={k.capture.id}
          kept={k}
          onGoOn={running || k.capture.page !== page ? undefined : () => void goOn(k.capture)}
          onEnd={running ? undefined : () => void end(k.capture)}
          onDrop={() => void drop(k.capture)}
        />
      ))}
      {!running && !sending && <LiveSource source={source} fitting={fitting} onChange={setSource} disabled={!ready} />}
      <div className="flex flex-wrap items-center gap-3">
        {running ? (
          <button
            type="button"
            className={buttonClass("main")}
            disabled={ending}
            onClick={() => {
              setEnding(true);
              worker.current?.postMessage({ stop: true });
            }}
          >
            {ending ? "Ending…" : "End it"}
          </button>
        ) : (
          <button
            type="button"
            className={buttonClass("main")}
            disabled={!ready || sending || closed !== ""}
            onClick={() => void begin()}
          >
            {sending ? "Sending…" : "Begin"}
          </button>
        )}
        <p role="status" className="text-sm text-iron">
          {closed ||
            note ||
            (offline && "The network does not answer: the samples wait in this browser and are sent by themselves.")}
        </p>
        {running && live && (
          <p className="text-sm text-soft tabular-nums">
            {Math.floor(live.seconds)} s{live.unused.length > 0 && ` · not used: ${live.unused.join(", ")}`}
            {live.left.count > 0 && ` · ${live.left.count} lines left out: ${live.left.why}`}
            {live.restarts > 0 && ` · its clock began anew ${live.restarts === 1 ? "once" : `${live.restarts} times`}`}
          </p>
        )}
      </div>
      {live && <LiveReadings live={live} measures={measures} />}
    </div>
  );
}
