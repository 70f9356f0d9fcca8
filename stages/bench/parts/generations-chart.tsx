"use client";

import { useRef, useState } from "react";
import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from "recharts";
import type { Axis } from "@/core/quantity/axis";
import { formatNumber } from "@/core/quantity/quantity";
import { headed } from "@/core/run/reading";
import { saveSvg, saveText } from "@/ui/save";
import { DataTable } from "@/ui/table";
import { valueAxis } from "./value-axis";

export interface Generation {
  label: string;
  runs: readonly number[];
  mean: number | null;
  low: number | null;
  high: number | null;
}

/**
 * Runs of each generation with their mean and 95 % interval, beside the benchmark and the limit; with a table twin, as
 * SVG and as CSV.
 */
export default function GenerationsChart({
  name,
  by = "generation",
  legend = "runs, mean and 95 % interval",
  unit,
  generations,
  axis,
  benchmark = null,
  limit = null,
}: {
  name: string;
  /** What the groups are. */
  by?: string;
  /** What the dots are, and what stands beside them. */
  legend?: string;
  unit: string;
  generations: readonly Generation[];
  /** The axis of the values. */
  axis: Axis;
  benchmark?: { value: number; label: string } | null;
  limit?: { value: number; label: string } | null;
}) {
  const [table, setTable] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  const dots = generations.flatMap((g, i) =>
    g.runs.map((y, k) => ({ x: i + 1 - 0.16 + (g.runs.length > 1 ? (k / (g.runs.length - 1)) * 0.2 - 0.1 : 0), y })),
  );
  const means = generations.flatMap((g, i) =>
    g.mean === null
      ? []
      : [
          {
            x: i + 1 + 0.14,
            y: g.mean,
            e: g.low === null || g.high === null ? [0, 0] : [g.mean - g.low, g.high - g.mean],
          },
        ],
  );
  const csv = () =>
    saveText(
      `${by},Run,${headed({ name, unit })}\r\n` +
        `${generations.flatMap((g) => g.runs.map((y, i) => `${g.label},${i + 1},${y}`)).join("\r\n")}\r\n`,
      "text/csv",
      "generations.csv",
    );
  const svg = () => saveSvg(box.current, "generations.svg");
  return (
    <section className="sheet px-4 py-3">
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <h2>
          {name} by {by}
        </h2>
        <p className="text-sm text-soft">
          {legend} ·{" "}
          <button type="button" className="underline" onClick={() => setTable(!table)}>
            {table ? "chart" : "table"}
          </button>{" "}
          ·{" "}
          <button type="button" className="underline" onClick={csv}>
            CSV
          </button>
          {!table && (
            <>
              {" "}
              ·{" "}
              <button type="button" className="underline" onClick={svg}>
                SVG
              </button>
            </>
          )}
        </p>
      </div>
      {table ? (
        <DataTable
          caption={`${name} by ${by}`}
          columns={[
            { key: "label", text: by, className: "first-letter:uppercase" },
            { key: "n", text: "n", num: true },
            { key: "mean", text: "Mean", num: true },
            { key: "interval", text: "95 % interval", num: true },
            { key: "runs", text: "Runs" },
          ]}
          rows={generations.map((g) => ({
            id: g.label,
            cells: {
              label: g.label,
              n: g.runs.length,
              mean: { value: g.mean, show: g.mean === null ? "–" : formatNumber(g.mean) },
              interval: {
                value: g.low,
                show: g.low === null ? "–" : `${formatNumber(g.low)} to ${formatNumber(g.high!)}`,
              },
              runs: g.runs.map((r) => formatNumber(r)).join(", "),
            },
          }))}
        />
      ) : (
        <div
          ref={box}
          role="img"
          aria-label={
            `${name} by ${by}: ` +
            generations
              .map((g) => `${g.label} ${g.mean === null ? "no run" : `mean ${formatNumber(g.mean)} ${unit}`}`)
              .join(", ")
          }
        >
          <ResponsiveContainer width="100%" height={230}>
            <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
              <CartesianGrid stroke="#e6dfd2" vertical={false} />
              <XAxis
                type="number"
                dataKey="x"
                domain={[0.5, Math.max(4, generations.length) + 0.5]}
                ticks={generations.map((_, i) => i + 1)}
                interval={0}
                tickFormatter={(x: number) => generations[x - 1]?.label ?? ""}
                tick={{ fontSize: 12, fill: "#231f1b", fontWeight: 600 }}
                axisLine={{ stroke: "#ded6c8" }}
                tickLine={false}
              />
              <YAxis type="number" dataKey="y" {...valueAxis(axis)} />
              {benchmark && (
                <ReferenceLine
                  y={benchmark.value}
                  stroke="#41586a"
                  strokeDasharray="5 4"
                  label={{ value: benchmark.label, position: "insideTopRight", fontSize: 12, fill: "#41586a" }}
                />
              )}
              {limit && (
                <ReferenceLine
                  y={limit.value}
                  stroke="#526b3c"
                  label={{ value: limit.label, position: "insideTopLeft", fontSize: 12, fill: "#526b3c" }}
                />
              )}
              <Scatter data={dots} fill="#957656" isAnimationActive={false} />
              <Scatter data={means} fill="#231f1b" shape="square" isAnimationActive={false}>
                <ErrorBar dataKey="e" direction="y" width={4} stroke="#231f1b" strokeWidth={1.4} />
              </Scatter>
            </ScatterChart>
          </ResponsiveContainer>
        </div>
      )}
    </section>
  );
}
