"use client";

import type { Calculator } from "@/core/handbook/calculator";
import type { UnitSystem } from "@/core/vocabulary/project";
import { Sheet } from "@/ui/page";
import { drawingOf } from "../view/shape";

const looks = {
  pulled: { stroke: "#41586a", strokeWidth: 3 },
  pressed: { stroke: "#9a3b22", strokeWidth: 3, strokeDasharray: "7 4" },
  idle: { stroke: "#9b9184", strokeWidth: 1.5 },
} as const;

/** A part or a truss as it was typed; pulled members whole, pressed ones broken. */
export function ShapePicture({
  calculator,
  typed,
  units,
}: {
  calculator: Calculator;
  typed: Readonly<Record<string, string>>;
  units: UnitSystem;
}) {
  const d = drawingOf(calculator, typed, units);
  if (!d) return null;
  return (
    <Sheet title="As it was typed" aside={d.bars.length > 0 && "whole: pulled · broken: pressed"}>
      <svg
        viewBox={`0 0 ${d.width} ${d.height}`}
        className="mx-auto block max-h-[340px] w-full"
        role="img"
        aria-label={`${d.words}, drawn; the figures stand in the list`}
      >
        {d.outline && <polygon points={d.outline} fill="#e5dccb" stroke="#231f1b" strokeWidth={1.5} />}
        {d.bars.map((b) => (
          <g key={`${b.from} ${b.to}`}>
            <line x1={b.from[0]} y1={b.from[1]} x2={b.to[0]} y2={b.to[1]} {...looks[b.way]} />
            <text
              x={(b.from[0] + b.to[0]) / 2}
              y={(b.from[1] + b.to[1]) / 2 - 5}
              fontSize={12}
              fill="#231f1b"
              stroke="#fbf9f5"
              strokeWidth={4}
              paintOrder="stroke"
              textAnchor="middle"
            >
              {b.text}
            </text>
          </g>
        ))}
        {d.dots.map((p) => (
          <g key={p.name}>
            <circle cx={p.x} cy={p.y} r={4} fill="#231f1b" />
            <text x={p.x + 7} y={p.y - 7} fontSize={13} fill="#231f1b">
              {p.name}
            </text>
          </g>
        ))}
      </svg>
    </Sheet>
  );
}
