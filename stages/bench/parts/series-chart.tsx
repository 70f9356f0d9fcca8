"use client";

import { useRef, useState } from "react";
import {
  Area,
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import { axisOf } from "@/core/quantity/axis";
import { formatNumber } from "@/core/quantity/quantity";
import type { Bucket } from "@/core/series/take";
import { brokenCurve, timeScale } from "../view/series";
import { valueAxis } from "./value-axis";

/** A series as it was read, thinned to its extremes, with where its value was taken from; a part is dragged out. */
export default function SeriesChart({
  name,
  unit,
  curve,
  taken,
  level,
  onPart,
}: {
  name: string;
  unit: string;
  curve: readonly Bucket[];
  /** From where to where the value was taken, and what is said of it. */
  taken?: { from: number; to: number; words: string } | null;
  /** A level that is asked for. */
  level?: number | null;
  /** A part was dragged out. */
  onPart?: (from: number, to: number) => void;
}) {
  const start = useRef<number | null>(null);
  const [drag, setDrag] = useState<readonly [number, number] | null>(null);
  const values = curve.flatMap((b) => [b.low, b.high]);
  const axis = axisOf([...values, ...(level === undefined || level === null ? [] : [level])], false);
  const scale = timeScale((curve.at(-1)?.t ?? 0) - (curve[0]?.t ?? 0));
  const timeAxis = axisOf([(curve[0]?.t ?? 0) / scale.seconds, (curve.at(-1)?.t ?? 0) / scale.seconds], false);
  const data = brokenCurve(curve);
  const at = (e: { activeLabel?: string | number } | null) =>
    e?.activeLabel === undefined ? null : Number(e.activeLabel);
  const narrow = taken ? taken.to - taken.from < (curve.at(-1)!.t - curve[0]!.t) / 400 : false;
  if (!curve.length) return <p className="text-soft">No sample lies in this part.</p>;
  return (
    <div
      role="img"
      aria-label={
        `${name}: ${formatNumber(Math.min(...values))} to ${formatNumber(Math.max(...values))} ${unit} ` +
        `from ${formatNumber(curve[0]!.t)} s to ${formatNumber(curve.at(-1)!.t)} s` +
        `${taken ? `; ${taken.words}` : ""}`
      }
      className="select-none"
    >
      <ResponsiveContainer width="100%" height={280}>
        <ComposedChart
          data={data}
          margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
          onMouseDown={(e) => {
            start.current = onPart ? at(e) : null;
          }}
          onMouseMove={(e) => {
            const now = at(e);
            if (start.current !== null && now !== null)
              setDrag([Math.min(start.current, now), Math.max(start.current, now)]);
          }}
          onMouseUp={() => {
            if (drag && drag[1] > drag[0]) onPart?.(drag[0], drag[1]);
            start.current = null;
            setDrag(null);
          }}
        >
          <CartesianGrid stroke="#e6dfd2" vertical={false} />
          <XAxis
            type="number"
            dataKey="t"
            domain={[curve[0]!.t, curve.at(-1)!.t]}
            ticks={timeAxis.ticks.map((x) => x * scale.seconds).filter((x) => x >= curve[0]!.t && x <= curve.at(-1)!.t)}
            tickFormatter={(t: number) => timeAxis.labels[timeAxis.ticks.indexOf(t / scale.seconds)] ?? ""}
            tick={{ fontSize: 12, fill: "#6b6258" }}
            axisLine={{ stroke: "#ded6c8" }}
            tickLine={false}
          />
          <YAxis type="number" {...valueAxis(axis)} allowDataOverflow />
          <Area dataKey="range" stroke="#6f5138" strokeWidth={1.2} fill="#b9a282" isAnimationActive={false} />
          {level !== undefined && level !== null && <ReferenceLine y={level} stroke="#41586a" strokeDasharray="5 4" />}
          {taken && narrow && <ReferenceLine x={taken.from} stroke="#9a3b22" strokeWidth={1.5} />}
          {taken && !narrow && <ReferenceArea x1={taken.from} x2={taken.to} fill="#9a3b22" fillOpacity={0.14} />}
          {drag && <ReferenceArea x1={drag[0]} x2={drag[1]} fill="#41586a" fillOpacity={0.18} />}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
