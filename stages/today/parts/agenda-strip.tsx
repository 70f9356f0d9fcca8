import type { Agenda } from "@/core/log/agenda";
import { agendaAt } from "@/core/log/agenda";
import { cx } from "@/ui/classes";

/** The course of a class as a band of its minutes, a part beside the other, with the minute that it stands at. */
export function AgendaStrip({
  agenda,
  minutes,
  at,
}: {
  agenda: Agenda;
  /** The length of the class. */
  minutes: number;
  /** Minutes since it began. */
  at?: number;
}) {
  const { items, left } = agenda;
  if (!items.length) return null;
  const length = Math.max(minutes, minutes - left);
  const on = at === undefined ? null : agendaAt(items, at);
  return (
    <div className="grid gap-1">
      <div className="relative flex h-5 overflow-hidden rounded-sm border border-line bg-sheet" aria-hidden="true">
        {items.map((x, i) => (
          <div
            key={x.what + x.from}
            className={cx(
              "h-full border-r border-sheet",
              on?.index === i ? "bg-iron" : i % 2 ? "bg-stone-1" : "bg-stone-2",
            )}
            style={{ width: `${(100 * x.minutes) / length}%` }}
          />
        ))}
        {at !== undefined && at >= 0 && at <= length && (
          <div className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: `${(100 * at) / length}%` }} />
        )}
      </div>
      <ol className="grid">
        {items.map((x, i) => (
          <li key={x.what + x.from} className={cx("flex gap-3", on?.index === i && "font-[650] text-iron")}>
            <span className="w-16 shrink-0 text-right tabular-nums">
              {x.from}–{x.to}
            </span>
            <span className="min-w-0 wrap-anywhere">{x.what}</span>
            <span className="ml-auto shrink-0 text-soft tabular-nums">{x.minutes} min</span>
          </li>
        ))}
      </ol>
      {left !== 0 && (
        <p className={cx("text-sm", left < 0 ? "text-iron" : "text-soft")}>
          {left < 0
            ? `The parts take ${minutes - left} of ${minutes} minutes: ${-left} too many.`
            : `${left} of ${minutes} minutes have no part yet.`}
        </p>
      )}
    </div>
  );
}
