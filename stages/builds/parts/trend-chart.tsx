"use client";

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { axisOf } from "@/core/quantity/axis";
import type { LimitsView } from "../view/limits";

const colours = ["#6f5138", "#9a3b22", "#41586a", "#5b7044", "#8a6d1f", "#7a4b6b", "#3f7f7a", "#514b43"];

/** How a mass or a cost went from generation to generation, a line a team, with the limit. */
export default function TrendChart({ of }: { of: LimitsView["limits"][number] }) {
  const longest = Math.max(0, ...of.rows.map((r) => r.trend.length));
  const data = Array.from({ length: longest }, (_, i) => ({
    step: `${i + 1}`,
    ...Object.fromEntries(of.rows.map((r) => [r.team, r.trend[i]?.value ?? null])),
  }));
  const axis = axisOf([...of.rows.flatMap((r) => r.trend.map((x) => x.value)), of.limit], false);
  return (
    <div
      role="img"
      aria-label={
        `${of.measure} by generation of ${of.rows.length} teams, the limit is ${of.words}; ` +
        "the table holds the same"
      }
    >
      <ResponsiveContainer width="100%" height={200}>
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke="#e6dfd2" vertical={false} />
          <XAxis
            dataKey="step"
            tick={{ fontSize: 12, fill: "#6b6258" }}
            axisLine={{ stroke: "#ded6c8" }}
            tickLine={false}
          />
          <YAxis
            domain={[axis.ticks[0]!, axis.ticks.at(-1)!]}
            ticks={[...axis.ticks]}
            tick={{ fontSize: 12, fill: "#6b6258" }}
            width={42}
            axisLine={false}
            tickLine={false}
          />
          <ReferenceLine y={of.limit} stroke="#9a3b22" strokeDasharray="5 4" />
          {of.rows.map((r, i) => (
            <Line
              key={r.team}
              dataKey={r.team}
              stroke={colours[i % colours.length]}
              strokeWidth={1.6}
              dot={{ r: 2.5 }}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
