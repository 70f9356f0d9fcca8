import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import type { Option } from "@/ui/option";
import { lackLabels, type Slot } from "../view/bookings";
import { EndBooking, PlaceBooking, StartBooking, WithdrawBooking } from "./booking-acts";
import { type BookingTeam, EditBooking } from "./booking-form";

/** What a reader may do to a booking. */
export interface BookingReach {
  readonly own: boolean;
  readonly place: boolean;
}

/** A booking in words: who, what, how long, what is missing, and what can be done. */
export function BookingRow({
  slot,
  slug,
  when,
  needed,
  may,
  times,
  team,
  time,
  running,
}: {
  slot: Slot;
  slug: string;
  /** Its minutes of the session; nothing while it waits. */
  when: string;
  needed: string;
  may: BookingReach;
  times: readonly Option[];
  team: BookingTeam | undefined;
  time: string;
  /** Minutes since it began. */
  running: number;
}) {
  const b = slot.booking;
  const open = slot.state === "waits" || slot.state === "stands";
  return (
    <li
      className={cx(
        "grid gap-x-3 gap-y-0.5 border-t border-line py-1.5",
        when ? "sm:grid-cols-[5.5rem_1fr_auto]" : "sm:grid-cols-[4rem_1fr]",
      )}
    >
      <span className="tabular-nums text-soft">{when || `${b.minutes} min`}</span>
      <span className="min-w-0 wrap-anywhere">
        <strong className="font-[650]">{b.team}</strong> {b.what}
        {b.piece && (
          <>
            {" "}
            (<Link href={`/p/${slug}/builds/${b.piece.buildId}/pieces`}>{b.piece.name}</Link>)
          </>
        )}
        <span className="block text-sm text-soft">
          {[
            b.material,
            b.operator ?? "nobody named yet",
            `needed by ${needed}`,
            slot.state === "over" ? `${b.usedMinutes} of ${b.minutes} min, ${b.outcome}` : "",
            b.seen,
          ]
            .filter(Boolean)
            .join(" · ")}
        </span>
        {(b.once || slot.late || slot.missed || slot.lacks.length > 0) && slot.state !== "over" && (
          <span className="block text-sm">
            {b.once && <span className="mr-2 font-[650] text-iron">cut once only</span>}
            {slot.late && <span className="mr-2 text-iron">after the day it is needed</span>}
            {slot.missed && <span className="mr-2 text-iron">did not begin on its day</span>}
            {!slot.missed && (
              <span className="text-ochre-deep">{slot.lacks.map((l) => lackLabels[l]).join(" · ")}</span>
            )}
          </span>
        )}
      </span>
      {may.own && (
        <span className={cx("no-print flex flex-wrap items-baseline gap-x-2.5", !when && "sm:col-start-2")}>
          {slot.state === "stands" && <StartBooking id={b.id} version={b.version} />}
          {(slot.state === "runs" || slot.state === "over") && (
            <EndBooking
              id={b.id}
              version={b.version}
              used={b.usedMinutes ?? Math.max(1, running)}
              outcome={b.outcome ?? "done"}
              seen={b.seen}
              over={slot.state === "over"}
            />
          )}
          {open && may.place && (
            <PlaceBooking id={b.id} version={b.version} times={times} time={time} starts={b.starts ?? 0} />
          )}
          {open && team && (
            <EditBooking
              id={b.id}
              version={b.version}
              team={team}
              defaults={{
                what: b.what,
                material: b.material,
                minutes: String(b.minutes),
                needBy: b.needBy,
                operatorId: b.operatorId ?? "",
                pieceId: b.pieceId ?? "",
                once: b.once,
              }}
            />
          )}
          {open && <WithdrawBooking id={b.id} what={b.what} />}
        </span>
      )}
    </li>
  );
}
