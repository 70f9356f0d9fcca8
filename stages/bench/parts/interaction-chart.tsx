"use client";

import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Axis } from "@/core/quantity/axis";
import { valueAxis } from "./value-axis";

/** Told by dash as well as by colour. */
const looks = [
  { stroke: "#231f1b", dash: undefined },
  { stroke: "#9a3b22", dash: "7 4" },
  { stroke: "#41586a", dash: "2 3" },
  { stroke: "#526b3c", dash: "10 3 2 3" },
  { stroke: "#a87413", dash: "4 2" },
];

/**
 * Cell means of two crossed factors: a line a level of the first, along the levels of the second. Lines that run side
 * by side say that one factor does the same whatever the other is.
 */
export default function InteractionChart({
  label,
  rows,
  columns,
  cells,
  axis,
}: {
  label: string;
  rows: readonly string[];
  columns: readonly string[];
  cells: readonly (readonly (number | null)[])[];
  axis: Axis;
}) {
  const data = columns.map((c, k) => ({
    at: c,
    ...Object.fromEntries(rows.map((_, i) => [`r${i}`, cells[i]![k] ?? undefined])),
  }));
  return (
    <figure>
      <div role="img" aria-label={label}>
        <ResponsiveContainer width="100%" height={220}>
          <LineChart data={data} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="#e6dfd2" vertical={false} />
            <XAxis
              dataKey="at"
              padding={{ left: 40, right: 40 }}
              tick={{ fontSize: 12, fill: "#231f1b", fontWeight: 600 }}
              axisLine={{ stroke: "#ded6c8" }}
              tickLine={false}
            />
            <YAxis {...valueAxis(axis)} />
            {rows.map((r, i) => (
              <Line
                key={r}
                dataKey={`r${i}`}
                stroke={looks[i % looks.length]!.stroke}
                strokeDasharray={looks[i % looks.length]!.dash}
                strokeWidth={1.8}
                dot={{ r: 3.5, strokeDasharray: "0" }}
                isAnimationActive={false}
                connectNulls
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-soft">
        {rows.map((r, i) => (
          <span key={r} className="flex items-center gap-1.5">
            <svg width="26" height="6" aria-hidden="true">
              <line
                x1="0"
                x2="26"
                y1="3"
                y2="3"
                strokeWidth="2"
                stroke={looks[i % looks.length]!.stroke}
                strokeDasharray={looks[i % looks.length]!.dash}
              />
            </svg>
            {r}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
