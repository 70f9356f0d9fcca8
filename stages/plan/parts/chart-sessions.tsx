import { ToggleGroup } from "radix-ui";
import type { ClassSession } from "@/core/sessions/sessions";
import { cx } from "@/ui/classes";
import { useDates } from "@/ui/dates";
import { head, x } from "./chart-shape";

/** The sessions above the plan chart; one that is pressed is tried out as lost. */
export function ChartSessions({
  sessions,
  cell,
  held,
  lost,
  onLost,
}: {
  sessions: ClassSession[];
  cell: number;
  held: number;
  lost: string[];
  onLost: (dates: string[]) => void;
}) {
  const { longDate, shortDate } = useDates();
  return (
    <ToggleGroup.Root
      type="multiple"
      value={lost}
      onValueChange={onLost}
      aria-label="Sessions tried out as lost"
      className="absolute top-0 flex"
      style={{ left: x(0, cell) }}
    >
      {sessions.map((s, i) => (
        <ToggleGroup.Item
          key={s.number}
          value={s.date}
          aria-label={`Session ${s.number}, ${longDate(s.date)}: lost?`}
          className={cx(
            "flex cursor-pointer justify-center pt-0.5 text-[11px] leading-[14px]",
            "data-[state=on]:text-iron data-[state=on]:line-through",
            i === held - 1 ? "font-[700]" : "text-soft",
          )}
          style={{ width: cell, height: head }}
        >
          {s.number}
        </ToggleGroup.Item>
      ))}
      {sessions.map((s, i) =>
        i % 4 ? null : (
          <span
            key={s.number}
            className="pointer-events-none absolute top-4 whitespace-nowrap pl-px text-[9.5px] text-soft"
            style={{ left: i * cell }}
          >
            {shortDate(s.date)}
          </span>
        ),
      )}
    </ToggleGroup.Root>
  );
}
