"use client";

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { LimitsView } from "../view/limits";
import { trendView } from "../view/trend";

const colours = ["#6f5138", "#9a3b22", "#41586a", "#5b7044", "#8a6d1f", "#7a4b6b", "#3f7f7a", "#514b43"];

/** The room that the curves have, in points. */
const room = { height: 240, above: 8, below: 4, axis: 30 };

/** How a mass or a cost went from generation to generation, a line a team, with the limit. */
export default function TrendChart({ of }: { of: LimitsView["limits"][number] }) {
  const { axis, names, points } = trendView(of, { ...room, below: room.below + room.axis });
  return (
    <div
      role="img"
      aria-label={
        `${of.measure} by generation of ${of.rows.length} teams, the limit is ${of.words}; ` +
        "the table holds the same"
      }
    >
      <ResponsiveContainer width="100%" height={room.height}>
        <LineChart data={points} margin={{ top: room.above, right: 92, bottom: room.below, left: 0 }}>
          <CartesianGrid stroke="#e6dfd2" vertical={false} />
          <XAxis
            dataKey="step"
            height={room.axis}
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
              label={({ x, index }: { x?: number | string; index?: number }) =>
                index === r.trend.length - 1 ? (
                  <text x={Number(x) + 7} y={names[i]! + 4} fontSize={12} fill={colours[i % colours.length]}>
                    {r.team}
                  </text>
                ) : (
                  <g />
                )
              }
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
