import { cx } from "@/ui/classes";
import { boxSize, type Drawing, type Line } from "../view/bracket";

const Half = ({ of, at, dark, played }: { of: Line; at: number; dark: boolean; played: boolean }) => {
  const strong = of.won ? 680 : 430;
  const ink = dark ? (of.seed === null ? "#b9aea0" : "#f6f1e8") : of.seed === null ? "#6b6258" : "#231f1b";
  const fill = played && !of.won ? (dark ? "#b9aea0" : "#6b6258") : ink;
  return (
    <>
      <text x={6} y={at} fontSize={11} fill={dark ? "#b9aea0" : "#6b6258"}>
        {of.seed ?? ""}
      </text>
      <text
        x={22}
        y={at}
        fontSize={15}
        fontWeight={strong}
        fill={fill}
        fontStyle={of.seed === null ? "italic" : "normal"}
      >
        {of.text.length > 16 ? `${of.text.slice(0, 15)}…` : of.text}
      </text>
      <text x={boxSize.width - 6} y={at} fontSize={15} fontWeight={strong} textAnchor="end" fill={fill}>
        {of.score}
        {of.won && !of.score ? "✓" : ""}
      </text>
    </>
  );
};

/** A bracket drawn: who met whom, who goes on and where; it fills its width, on a board and on paper too. */
export function BracketChart({
  drawing,
  label,
  dark = false,
  className,
}: {
  drawing: Drawing;
  label: string;
  dark?: boolean;
  className?: string;
}) {
  const line = dark ? "#6b6258" : "#b9a282";
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-2 0 ${drawing.width + 4} ${drawing.height}`}
      className={cx("bracket block", className)}
      style={{ fontStretch: "84%" }}
    >
      {drawing.heads.map((h) => (
        <text key={h.text} x={h.x} y={h.y} fontSize={12} fontWeight={620} fill={dark ? "#E39A7C" : "#9a3b22"}>
          {h.text}
        </text>
      ))}
      {drawing.paths.map((d) => (
        <path key={d} d={d} fill="none" stroke={line} strokeWidth={1.2} />
      ))}
      {drawing.boxes.map((b) => (
        <g key={b.key} transform={`translate(${b.x},${b.y})`}>
          <title>{b.title}</title>
          <rect
            width={boxSize.width}
            height={boxSize.height}
            rx={3}
            fill={dark ? "#2a2622" : "#fbf9f5"}
            stroke={b.state === "ready" ? (dark ? "#E39A7C" : "#9a3b22") : line}
            strokeWidth={b.state === "ready" ? 1.8 : 1}
          />
          <line
            x1={0}
            x2={boxSize.width}
            y1={boxSize.height / 2}
            y2={boxSize.height / 2}
            stroke={line}
            strokeWidth={0.6}
          />
          <text x={-3} y={boxSize.height / 2 + 4} fontSize={11} textAnchor="end" fill={dark ? "#b9aea0" : "#6b6258"}>
            {b.number}
          </text>
          <Half of={b.lines[0]} at={boxSize.height / 2 - 7} dark={dark} played={b.state === "played"} />
          <Half of={b.lines[1]} at={boxSize.height - 7} dark={dark} played={b.state === "played"} />
        </g>
      ))}
    </svg>
  );
}
