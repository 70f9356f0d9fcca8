"use client";

import { useRef } from "react";
import { CartesianGrid, Line, LineChart, ReferenceDot, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { FormulaCalculator } from "@/core/handbook/calculator";
import type { Outcome } from "@/core/handbook/compute";
import { formatNumber } from "@/core/quantity/quantity";
import type { UnitSystem } from "@/core/vocabulary/project";
import { Fold } from "@/ui/fold";
import { buttonClass, Sheet } from "@/ui/page";
import { saveSvg } from "@/ui/save";
import { DataTable } from "@/ui/table";
import { plotView } from "../view/plot";

/** A result over one entry, where it stands now, and the same as a table. */
export default function Plot({
  calculator,
  points,
  now,
  typed,
  units,
}: {
  calculator: FormulaCalculator;
  points: readonly { readonly x: number; readonly y: number }[];
  now: Extract<Outcome, { ok: true }> | null;
  typed: Readonly<Record<string, string>>;
  units: UnitSystem;
}) {
  const box = useRef<HTMLDivElement>(null);
  const v = plotView(calculator, points, now, typed, units);
  const tick = { fontSize: 12, fill: "#6b6258" };
  return (
    <Sheet
      title={v.title}
      aside={
        <button
          type="button"
          className={buttonClass("quiet")}
          onClick={() => saveSvg(box.current, `${calculator.id}.svg`)}
        >
          save the picture
        </button>
      }
    >
      <div ref={box} role="img" aria-label={v.words}>
        <ResponsiveContainer width="100%" height={250}>
          <LineChart data={[...points]} margin={{ top: 6, right: 18, bottom: 14, left: 4 }}>
            <CartesianGrid stroke="#e6dfd2" vertical={false} />
            <XAxis
              type="number"
              dataKey="x"
              domain={[v.x.ticks[0]!, v.x.ticks.at(-1)!]}
              ticks={[...v.x.ticks]}
              tickFormatter={(t) => v.x.labels[v.x.ticks.indexOf(t)] ?? ""}
              tick={tick}
              tickLine={false}
              axisLine={{ stroke: "#ded6c8" }}
              label={{ value: v.xLabel, position: "insideBottom", offset: -8, fontSize: 12, fill: "#6b6258" }}
            />
            <YAxis
              type="number"
              domain={[v.y.ticks[0]!, v.y.ticks.at(-1)!]}
              ticks={[...v.y.ticks]}
              tickFormatter={(t) => v.y.labels[v.y.ticks.indexOf(t)] ?? ""}
              tick={tick}
              width={58}
              tickLine={false}
              axisLine={false}
            />
            <Line dataKey="y" stroke="#41586a" strokeWidth={2} dot={false} isAnimationActive={false} />
            {v.here && <ReferenceDot x={v.here.x} y={v.here.y} r={5} fill="#9a3b22" stroke="#fbf9f5" strokeWidth={2} />}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <Fold label="The same as a table" className="mt-1 text-sm">
        <div className="max-w-[360px]">
          <DataTable
            caption={v.title}
            columns={[
              { key: "x", text: v.xLabel, num: true },
              { key: "y", text: v.yLabel, num: true },
            ]}
            rows={v.rows.map((r) => ({
              id: String(r.x),
              cells: { x: { value: r.x, show: formatNumber(r.x) }, y: { value: r.y, show: formatNumber(r.y) } },
            }))}
          />
        </div>
      </Fold>
    </Sheet>
  );
}
