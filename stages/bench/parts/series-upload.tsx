"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { formatNumber } from "@/core/quantity/quantity";
import type { ColumnChoice, guessColumns, ReadColumns } from "@/core/series/columns";
import type { Bucket } from "@/core/series/take";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { Select } from "@/ui/select";
import { addBlocksAction, openSeriesAction } from "../actions";
import { blockSize } from "../schema";
import { LazySeriesChart } from "./lazy-charts";

type Columns = ReturnType<typeof guessColumns>;
type Read = Omit<ReadColumns, "t" | "v"> & { samples: number; ends: number; curve: Bucket[]; blocks: string[] };

const timeUnits = [
  { value: "1", label: "seconds, or clock times" },
  { value: "0.001", label: "milliseconds" },
  { value: "60", label: "minutes" },
  { value: "3600", label: "hours" },
];
const largest = 40_000_000;

/** A logger's file: which column is the time and which the value, how the curve looks, and on its way to the server. */
export function SeriesUpload({
  slug,
  buildId,
  protocolVersionId,
  measures,
}: {
  slug: string;
  buildId: string;
  protocolVersionId: string;
  /** The readings that are taken from a series, with the instrument's unit. */
  measures: readonly { key: string; name: string; unit: string }[];
}) {
  const ready = useReady();
  const router = useRouter();
  const worker = useRef<Worker | null>(null);
  const [key, setKey] = useState(measures[0]!.key);
  const [file, setFile] = useState("");
  const [columns, setColumns] = useState<Columns | null>(null);
  const [choice, setChoice] = useState<ColumnChoice>({ time: 0, value: 1, secondsPerUnit: 1 });
  const [read, setRead] = useState<Read | null>(null);
  const [note, setNote] = useState("");
  const [sent, setSent] = useState<number | null>(null);
  /** The series that is being sent: sending again goes on with it. */
  const series = useRef("");
  useEffect(() => () => worker.current?.terminate(), []);
  const unit = measures.find((m) => m.key === key)!.unit;

  const look = (next: ColumnChoice, start: number) => {
    setChoice(next);
    setRead(null);
    series.current = "";
    worker.current?.postMessage({ choice: next, start, perBlock: blockSize.samples });
  };
  async function open(chosen: File | undefined) {
    if (!chosen) return;
    setNote("");
    setRead(null);
    setColumns(null);
    if (chosen.size > largest) return setNote("This file is too large: at most 40 MB are taken.");
    setFile(chosen.name);
    worker.current?.terminate();
    const w = new Worker(new URL("../../../workers/series.ts", import.meta.url));
    worker.current = w;
    w.onmessage = (e: MessageEvent<{ columns: Columns } | Read>) => {
      if ("columns" in e.data) {
        setColumns(e.data.columns);
        look({ time: e.data.columns.time, value: e.data.columns.value, secondsPerUnit: 1 }, e.data.columns.start);
      } else setRead(e.data);
    };
    w.onerror = () => setNote("This file cannot be read as a table. Save it as CSV, and choose it again.");
    w.postMessage({ text: await chosen.text() });
  }
  async function keep() {
    if (!read || sent !== null) return;
    setNote("");
    setSent(0);
    series.current ||= crypto.randomUUID();
    const id = series.current;
    try {
      const begun = await openSeriesAction(
        { id, buildId, protocolVersionId, key, source: file },
        { requestId: crypto.randomUUID() },
      );
      if (!begun.ok) throw new Error(begun.message);
      for (let i = 0; i < read.blocks.length; i += blockSize.blocks) {
        const blocks = read.blocks.slice(i, i + blockSize.blocks).map((samples, k) => ({ number: i + k, samples }));
        const added = await addBlocksAction({ seriesId: id, blocks }, { requestId: crypto.randomUUID() });
        if (!added.ok) throw new Error(added.message);
        setSent(Math.min(read.blocks.length, i + blocks.length));
      }
      router.push(`/p/${slug}/bench/series?id=${id}`);
    } catch (error) {
      setSent(null);
      const words = error instanceof TypeError ? "The network did not answer." : (error as Error).message;
      setNote(`${words} What arrived is kept: press again to go on.`);
    }
  }
  const options = (columns?.names ?? []).map((label, i) => ({ value: String(i), label }));
  return (
    <div className="grid max-w-[860px] gap-4">
      {measures.length > 1 && (
        <Select
          aria-label="Reading"
          className="w-72"
          value={key}
          onChange={setKey}
          options={measures.map((m) => ({ value: m.key, label: m.name }))}
        />
      )}
      <label className="grid justify-items-start gap-1">
        <span className="text-[12.5px] font-[600]">The logger's file (CSV)</span>
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          disabled={!ready}
          onChange={(e) => open(e.target.files?.[0])}
        />
      </label>
      {columns && (
        <div className="flex flex-wrap items-end gap-3">
          {(["time", "value"] as const).map((which) => (
            <label key={which} className="grid gap-1">
              <span className="text-[12.5px] font-[600]">
                {which === "time" ? "Column of the time" : `Column of the value, in ${unit}`}
              </span>
              <Select
                aria-label={which === "time" ? "Column of the time" : "Column of the value"}
                className="w-56"
                value={String(choice[which])}
                onChange={(v) => look({ ...choice, [which]: Number(v) }, columns.start)}
                options={options}
              />
            </label>
          ))}
          <label className="grid gap-1">
            <span className="text-[12.5px] font-[600]">The time is in</span>
            <Select
              aria-label="Unit of the time"
              className="w-56"
              value={String(choice.secondsPerUnit)}
              onChange={(v) => look({ ...choice, secondsPerUnit: Number(v) }, columns.start)}
              options={timeUnits}
            />
          </label>
        </div>
      )}
      {read?.problem && <p className="text-iron">{read.problem}</p>}
      {read && !read.problem && (
        <>
          <p className="text-soft">
            {read.samples} samples over {formatNumber(read.ends)} s.
            {read.leftCount > 0 &&
              ` ${read.leftCount} ${read.leftCount === 1 ? "line holds" : "lines hold"} none and ${
                read.leftCount === 1 ? "is" : "are"
              } left out: ${read.left.map((l) => `line ${l.line}, ${l.why}`).join("; ")}.`}
          </p>
          <LazySeriesChart name={file} unit={unit} curve={read.curve} />
          <div className="flex flex-wrap items-center gap-3">
            <button type="button" className={buttonClass("main")} disabled={sent !== null} onClick={keep}>
              {sent === null ? "Keep this series" : `Sending, ${sent} of ${read.blocks.length} blocks`}
            </button>
          </div>
        </>
      )}
      <p role="status" className="text-sm text-iron">
        {note}
      </p>
    </div>
  );
}
