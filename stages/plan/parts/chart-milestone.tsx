import type { Scheduled } from "@/core/sessions/network";
import { cx } from "@/ui/classes";
import { longDate } from "@/ui/date";
import { tip } from "@/ui/tip";
import { type ChartMilestone, lineTop, usePull, x } from "./chart-shape";

/** A milestone's line in the plan chart: moved by dragging its mark or by the arrow keys on it. */
export function MilestoneLine({
  milestone: m,
  reached,
  end,
  line,
  sessions,
  movable,
  onMove,
}: {
  milestone: ChartMilestone;
  reached: Scheduled;
  /** Sessions held by its date. */
  end: number;
  line: number;
  sessions: number;
  movable: boolean;
  onMove: (by: number) => void;
}) {
  const pull = usePull(movable, onMove);
  const late = reached.slack < 0 && reached.critical;
  const y = lineTop(line);
  return (
    <g>
      <text x={6} y={y + 15} fontSize="12.5" fontWeight="600" fill="#231f1b">
        {m.title.slice(0, 30)}
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
        <path d={`M${x(end + pull.by + pull.longer)} ${y + 4}l6 7-6 7-6-7z`} fill={late ? "#9a3b22" : "#41586a"} />
      </g>
    </g>
  );
}
