import type { Scheduled } from "@/core/sessions/network";
import { cx } from "@/ui/classes";
import { type ChartTask, cell, lineTop, usePull, x } from "./chart-shape";

/**
 * A task's line in the plan chart: its bar, the links from what comes before it, and its slack as a thin tail. Moved by
 * dragging or by the arrow keys, made longer by its right end or Shift and arrows.
 */
export function TaskLine({
  task: t,
  at: s,
  before,
  line,
  sessions,
  movable,
  onMove,
  onStretch,
}: {
  task: ChartTask;
  at: Scheduled;
  /** What comes before it: the line it stands in and the sessions passed when it ends. */
  before: { id: string; line: number; end: number }[];
  line: number;
  sessions: number;
  movable: boolean;
  onMove: (by: number) => void;
  onStretch: (by: number) => void;
}) {
  const pull = usePull(movable, (by, edge) => (edge ? onStretch(by) : onMove(by)));
  const y = lineTop(line);
  const begin = s.early + pull.by;
  const length = Math.max(1, t.length + pull.longer);
  const words =
    `${t.title}: ${t.length} ${t.length === 1 ? "session" : "sessions"}, ${s.early + 1} to ` +
    `${s.earlyEnd}, slack ${s.slack}${t.doneOn ? ", done" : ""}${s.critical ? ", critical" : ""}`;
  return (
    <g>
      <text x={6} y={y + 15} fontSize="12.5" fill={t.doneOn ? "#6b6258" : "#231f1b"}>
        {t.title.slice(0, 31)}
      </text>
      {before.map((b) => (
        <path
          key={b.id}
          d={`M${x(b.end)} ${lineTop(b.line) + 11}H${x(s.early) + 3}V${y + 3}`}
          fill="none"
          stroke="#b9a282"
        />
      ))}
      {s.slack > 0 && !t.doneOn && (
        <line
          x1={x(s.earlyEnd)}
          x2={x(Math.min(sessions, s.lateEnd))}
          y1={y + 11}
          y2={y + 11}
          stroke="#526b3c"
          strokeDasharray="2 3"
        />
      )}
      <g
        tabIndex={0}
        role="slider"
        aria-disabled={!movable}
        aria-label={words}
        aria-valuenow={s.early + 1}
        aria-valuemin={1}
        aria-valuemax={sessions}
        aria-valuetext={words}
        data-tip={words}
        className={cx(movable && "cursor-grab")}
        onKeyDown={(e) => {
          if (!movable || (e.key !== "ArrowLeft" && e.key !== "ArrowRight")) return;
          e.preventDefault();
          const by = e.key === "ArrowLeft" ? -1 : 1;
          if (e.shiftKey) onStretch(by);
          else onMove(by);
        }}
        {...pull.on}
      >
        <rect
          x={x(begin) + 1}
          y={y + 3}
          width={length * cell - 2}
          height={16}
          rx="2"
          fill={t.doneOn ? "#b9a282" : s.critical ? "#9a3b22" : "#526b3c"}
          opacity={pull.pulled ? 0.7 : 1}
        />
        {movable && (
          <rect
            x={x(begin) + length * cell - 8}
            y={y + 3}
            width={7}
            height={16}
            fill="transparent"
            className="cursor-ew-resize"
          />
        )}
      </g>
    </g>
  );
}
