import type { Axis } from "@/core/quantity/axis";

/** How the charts of the bench draw the axis of their values: its ticks with their labels, no line. */
export const valueAxis = (axis: Axis) => ({
  domain: [axis.ticks[0]!, axis.ticks.at(-1)!] as [number, number],
  ticks: [...axis.ticks],
  tickFormatter: (y: number) => axis.labels[axis.ticks.indexOf(y)] ?? "",
  tick: { fontSize: 12, fill: "#6b6258" },
  axisLine: false,
  tickLine: false,
  width: 14 + 7 * Math.max(...axis.labels.map((l) => l.length)),
});
