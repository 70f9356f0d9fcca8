"use client";

import { useEffect, useRef, useState } from "react";
import { useFormContext } from "react-hook-form";
import { formatNumber } from "@/core/quantity/quantity";
import type { Bucket } from "@/core/series/take";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { saveSvg } from "@/ui/save";
import { chooseSeriesPartAction } from "../actions";
import { seriesPart } from "../schema";
import { timeScale } from "../view/series";
import { LazySeriesChart } from "./lazy-charts";

const { TextField } = fieldsOf(seriesPart);

/** What was chosen by dragging stands in the fields, and asks for a reason of its own. */
function Drawn({ part }: { part: { from: number; to: number } | null }) {
  const { setValue } = useFormContext();
  useEffect(() => {
    if (!part) return;
    for (const [name, value] of Object.entries({ ...part, reason: "" })) setValue(name, value, { shouldDirty: true });
  }, [part, setValue]);
  return null;
}

const digits = (x: number) => Number(x.toPrecision(6));

/** A series drawn: dragging over it looks closer, or chooses the part that counts; both can be typed. */
export function SeriesView({
  id,
  version,
  name,
  unit,
  whole,
  curve: first,
  taken,
  level,
  part,
  reason,
  may,
}: {
  id: string;
  version: number;
  name: string;
  unit: string;
  /** All of it, in seconds. */
  whole: { from: number; to: number };
  curve: readonly Bucket[];
  taken: { from: number; to: number; words: string } | null;
  level: number | null;
  part: { from: number; to: number } | null;
  reason: string;
  may: boolean;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [curve, setCurve] = useState(first);
  const [seen, setSeen] = useState(whole);
  const [note, setNote] = useState("");
  const [chosen, setChosen] = useState<{ from: number; to: number } | null>(null);
  async function show(from: number, to: number) {
    setNote("");
    try {
      const r = await fetch(`/api/series?id=${id}&from=${from}&to=${to}`);
      if (!r.ok) throw new Error();
      setCurve((await r.json()) as Bucket[]);
      setSeen({ from, to });
      setChosen({ from: digits(from), to: digits(to) });
    } catch {
      setNote("The network did not answer. Try again.");
    }
  }
  const closer = seen.from !== whole.from || seen.to !== whole.to;
  return (
    <div className="grid gap-3">
      <section className="sheet px-4 py-3">
        <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
          <h2>{name}</h2>
          <p className="text-sm text-soft">
            {unit} over {timeScale(seen.to - seen.from).name} · drag to look closer ·{" "}
            <a href={`/api/series/csv?id=${id}`} className="underline">
              CSV of all samples
            </a>{" "}
            ·{" "}
            <button type="button" className="underline" onClick={() => saveSvg(box.current, "series.svg")}>
              SVG
            </button>
          </p>
        </div>
        <div ref={box}>
          <LazySeriesChart
            name={name}
            unit={unit}
            curve={curve}
            taken={taken}
            level={level}
            onPart={(from, to) => void show(from, to)}
          />
        </div>
        <div className="no-print flex flex-wrap items-center gap-3 text-sm">
          <span className="text-soft">
            {formatNumber(seen.from)} s to {formatNumber(seen.to)} s
          </span>
          {closer && (
            <button type="button" className={buttonClass("quiet")} onClick={() => void show(whole.from, whole.to)}>
              all of it
            </button>
          )}
          <span role="status" className="text-iron">
            {note}
          </span>
        </div>
      </section>
      {may && (
        <ActionForm
          schema={seriesPart}
          action={chooseSeriesPartAction}
          fixed={{ id, version }}
          defaults={{ ...(part ?? whole), reason }}
          submit="This part counts"
          look="plain"
          saved="The part is chosen."
          inline
        >
          <Drawn part={chosen} />
          <TextField name="from" label="Counts from (s)" className="w-32" inputMode="decimal" />
          <TextField name="to" label="to (s)" className="w-32" inputMode="decimal" />
          <TextField name="reason" label="Why this part" className="w-64" />
        </ActionForm>
      )}
    </div>
  );
}
