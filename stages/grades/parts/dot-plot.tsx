import { dotsOf } from "../view/dots";

const WIDTH = 340;
const ROW = 62;
const PAD = 14;

/** Every grade as a dot on a line from the lowest to the highest, as it is now above and with the change below. */
export function DotPlot({ before, after }: { before: readonly number[]; after: readonly number[] }) {
  const rows = [
    { label: "now", values: before },
    { label: "with this scheme", values: after },
  ].filter((r) => r.values.length);
  const {
    from,
    to,
    rows: dots,
    size,
  } = dotsOf(
    rows.map((r) => r.values),
    { width: WIDTH - 2 * PAD, height: ROW - 22 },
  );
  const x = (v: number) => PAD + ((v - from) / (to - from)) * (WIDTH - 2 * PAD);
  const ticks = Array.from({ length: Math.round((to - from) / 10) + 1 }, (_, i) => from + 10 * i);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${rows.length * ROW + 16}`}
      className="w-full"
      role="img"
      aria-label={`The grades as dots, ${rows.map((r) => r.label).join(" and ")}: the table below says the same.`}
    >
      {rows.map((r, i) => (
        <g key={r.label} transform={`translate(0 ${i * ROW})`}>
          <text x={PAD} y={11} className="fill-soft text-[11.5px]">
            {r.label}
          </text>
          <line x1={PAD} x2={WIDTH - PAD} y1={ROW - 4} y2={ROW - 4} className="stroke-line" />
          {dots[i]!.map((d) => (
            <circle
              key={`${d.value} ${d.nth}`}
              cx={x(d.value)}
              cy={ROW - 4 - size * (d.nth + 0.6)}
              r={size / 2 - 0.4}
              className={r.label === "now" ? "fill-stone-4" : "fill-iron"}
            />
          ))}
        </g>
      ))}
      {ticks.map((t) => (
        <text key={t} x={x(t)} y={rows.length * ROW + 11} textAnchor="middle" className="fill-soft text-[11px]">
          {t}
        </text>
      ))}
    </svg>
  );
}
