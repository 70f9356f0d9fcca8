import type { Scheduled } from "@/core/sessions/network";
import { cx } from "@/ui/classes";
import { useDates } from "@/ui/dates";
import { tip } from "@/ui/tip";
import { type ChartMilestone, lineTop, nameAt, row, usePull, x } from "./chart-shape";

/** A milestone's line in the plan chart: moved by dragging its mark or by the arrow keys on it. */
export function MilestoneLine({
  milestone: m,
  reached,
  end,
  line,
  sessions,
  cell,
  movable,
  onMove,
}: {
  milestone: ChartMilestone;
  reached: Scheduled;
  /** Sessions held by its date. */
  end: number;
  line: number;
  sessions: number;
  cell: number;
  movable: boolean;
  onMove: (by: number) => void;
}) {
  const { longDate } = useDates();
  const pull = usePull(movable, cell, onMove);
  const late = reached.slack < 0 && reached.critical;
  const y = lineTop(line);
  return (
    <g>
      <text
        {...nameAt(m.title, end + pull.by + pull.longer, sessions, cell)}
        y={y + 17}
        fontSize="12.5"
        fontWeight="600"
        fill="#231f1b"
        className="pointer-events-none"
      >
        {m.title}
      </text>
      <g
        tabIndex={0}
        role="slider"
        aria-disabled={!movable}
        aria-label={`Milestone ${m.title}, ${longDate(m.dueOn)}${late ? ", its tasks end too late" : ""}`}
        aria-valuenow={end}
        aria-valuemin={1}
        aria-valuemax={sessions}
        onKeyDown={(e) => {
          if (!movable || (e.key !== "ArrowLeft" && e.key !== "ArrowRight")) return;
          e.preventDefault();
          onMove(e.key === "ArrowLeft" ? -1 : 1);
        }}
        className={cx(movable && "cursor-grab")}
        {...tip(`${m.title}: due ${longDate(m.dueOn)}; its tasks end with session ${reached.earlyEnd}`)}
        {...pull.on}
      >
        {/* A surveyor's peg, driven in where the milestone is due. */}
        <path
          d={`M${x(end + pull.by + pull.longer, cell) - 4} ${y + 3}h8v11l-4 7-4-7z`}
          fill={late ? "#9a3b22" : "#41586a"}
        />
        <rect x={x(end + pull.by, cell) - 9} y={y} width={18} height={row} fill="transparent" />
      </g>
    </g>
  );
}
