import type { Slip } from "@/core/sessions/network";
import { useDates } from "@/ui/dates";

/** What losing these sessions would make of the plan. */
export function LostDays({ lost, slips, onForget }: { lost: string[]; slips: Slip[]; onForget: () => void }) {
  const { shortDate } = useDates();
  return (
    <div className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5" role="status">
      <p className="font-[600]">
        If {lost.map((d) => shortDate(d)).join(", ")} {lost.length === 1 ? "is" : "are"} lost:{" "}
        {slips.length === 0
          ? "nothing ends later."
          : `${slips.length} ${slips.length === 1 ? "date comes" : "dates come"} later, ` +
            `${slips.filter((s) => s.late).length} too late.`}{" "}
        <button type="button" className="ml-2 font-normal underline" onClick={onForget}>
          forget it
        </button>
      </p>
      {slips.length > 0 && (
        <ul className="text-sm">
          {slips.map((s) => (
            <li key={s.id} className={s.late ? "text-iron" : undefined}>
              {s.name}: {s.was ? shortDate(s.was) : "–"} becomes {s.now ? shortDate(s.now) : "after the last session"}
              {s.late && ", past its date"}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
