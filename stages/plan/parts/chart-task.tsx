import type { Scheduled } from "@/core/sessions/network";
import { cx } from "@/ui/classes";
import { type ChartTask, lineTop, nameAt, row, usePull, x } from "./chart-shape";

/**
 * A task as a stratum: laid over the sessions that it takes, with the open ground behind it over which it may slip.
 * Moved by dragging or by the arrow keys, made longer by its right end or Shift and arrows.
 */
export function TaskLine({
  task: t,
  at: s,
  before,
  line,
  sessions,
  cell,
  movable,
  onMove,
  onStretch,
}: {
  task: ChartTask;
  at: Scheduled;
  /** What comes before it: the stratum and the sessions passed when it ends. */
  before: { id: string; line: number; end: number }[];
  line: number;
  sessions: number;
  cell: number;
  movable: boolean;
  onMove: (by: number) => void;
  onStretch: (by: number) => void;
}) {
  const pull = usePull(movable, cell, (by, edge) => (edge ? onStretch(by) : onMove(by)));
  const y = lineTop(line);
  const begin = s.early + pull.by;
  const length = Math.max(1, t.length + pull.longer);
  const words =
    `${t.title}: ${t.length} ${t.length === 1 ? "session" : "sessions"}, ${s.early + 1} to ` +
    `${s.earlyEnd}, slack ${s.slack}${t.doneOn ? ", done" : ""}${s.critical ? ", critical" : ""}` +
    `${s.overdue ? ", overdue" : ""}`;
  const open = Math.min(sessions, s.lateEnd) - s.earlyEnd;
  return (
    <g>
      {before.map((b) => (
        <path
          key={b.id}
          d={`M${x(b.end, cell)} ${lineTop(b.line) + row}H${x(s.early, cell) + 2}V${y}`}
          fill="none"
          stroke="#b9a282"
          strokeWidth="1"
        />
      ))}
      {open > 0 && !t.doneOn && (
        <rect x={x(s.earlyEnd, cell)} y={y} width={open * cell} height={row} fill="url(#open-ground)" />
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
          x={x(begin, cell)}
          y={y}
          width={length * cell}
          height={row}
          fill={t.doneOn ? "url(#laid)" : "#d3c4ab"}
          opacity={pull.pulled ? 0.7 : 1}
        />
        {s.overdue && !t.doneOn && <rect x={x(begin, cell)} y={y} width={4} height={row} fill="#9a3b22" />}
        {movable && (
          <rect
            x={x(begin, cell) + length * cell - 8}
            y={y}
            width={8}
            height={row}
            fill="transparent"
            className="cursor-ew-resize"
          />
        )}
      </g>
      <text
        {...nameAt(t.title, begin, sessions, cell)}
        y={y + 17}
        fontSize="12.5"
        fill={t.doneOn ? "#6b6258" : "#231f1b"}
        className="pointer-events-none"
      >
        {t.title}
      </text>
    </g>
  );
}
