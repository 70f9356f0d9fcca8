import { cx } from "@/ui/classes";
import type { ShopDay, Slot } from "../view/bookings";

const looks: Readonly<Record<Slot["state"], string>> = {
  waits: "",
  stands: "bg-[#d3c4ab] text-ink",
  runs: "bg-iron text-white",
  over: "bg-[#e5dccb] text-ink",
};

/** A session as a band of its minutes, with who has which; what comes late or misses something has a mark. */
export const MachineStrip = ({ day }: { day: ShopDay }) => (
  <div
    className={cx("relative overflow-hidden rounded-sm border border-line bg-sheet", day.slots.length ? "h-9" : "h-3")}
    aria-hidden="true"
  >
    {day.slots.map((s) => (
      <div
        key={s.booking.id}
        className={cx("absolute inset-y-0 overflow-hidden border-r border-sheet px-1.5 text-[11.5px]", looks[s.state])}
        style={{
          left: `${(100 * s.booking.starts!) / day.time.minutes}%`,
          width: `${(100 * s.booking.minutes) / day.time.minutes}%`,
        }}
      >
        <span className="block truncate pt-0.5 font-[650]">{s.booking.team}</span>
        <span className="block truncate">{s.booking.what}</span>
      </div>
    ))}
  </div>
);
