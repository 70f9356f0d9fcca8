"use client";

import { clockOf } from "@/core/contest/programme";
import { clockWarning, leftText, slotTimeText } from "@/core/slots/clock";
import type { slotStep } from "@/core/vocabulary/reviews";
import type { Term } from "@/core/vocabulary/vocabulary";
import { Chime } from "@/ui/chime";
import { cx } from "@/ui/classes";
import { useSend } from "@/ui/form/send";
import { useMinute } from "@/ui/minute";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { runSlotAction } from "../actions";
import { type ClockRoom, clockAt } from "../view/clock";

const warningWords = { none: "", soon: "the end is near", "last minute": "last minute", over: "time is over" } as const;

/** One room on the day, for whoever leads and for the speakers: time left in large figures, and when the rest is on. */
export function SlotClock({
  room,
  change,
  now: server,
  leads,
}: {
  room: ClockRoom;
  change: number;
  /** Minutes since midnight, by the server. */
  now: number;
  /** Whether the reader begins and ends reviews. */
  leads: boolean;
}) {
  const now = useMinute(server);
  const at = clockAt(room, now, change);
  const { send, busy, note } = useSend(runSlotAction);
  const ready = useReady();
  const on = at.onNow;
  const warning = on && at.left !== null ? clockWarning(at.left, on.minutes) : "none";
  const step = (slot: { id: string; version: number }, name: Term<typeof slotStep>) =>
    void send({ id: slot.id, version: slot.version, step: name });
  const behind = Math.round(at.behind);
  const last = room.slots.findLast((s) => s.ended !== null);
  return (
    <section className="grid content-start gap-4" aria-label={room.name}>
      <h2 className="flex flex-wrap items-baseline gap-x-3">
        {room.name}
        <span className={cx("text-base font-normal", behind > 0 ? "text-iron" : "text-soft")}>
          {behind > 0 ? `${behind} min behind` : "on time"}
        </span>
      </h2>
      <div
        className={cx(
          "grid gap-1 border-l-8 px-4 py-3",
          warning === "over" || warning === "last minute"
            ? "border-iron bg-iron-wash"
            : warning === "soon"
              ? "border-ochre bg-ochre-wash"
              : on
                ? "border-moss bg-sheet"
                : "border-line bg-sheet",
        )}
      >
        <p className="text-[23px] font-[650]">{on ? on.team : at.nextUp ? "Nobody is on" : "All are over"}</p>
        {on && at.left !== null && (
          <p className="text-[clamp(64px,16vw,150px)] leading-none font-[650] tabular-nums" role="timer">
            {leftText(at.left)}
          </p>
        )}
        <p className="min-h-6 text-lg" role="status">
          {on ? warningWords[warning] : ""}
        </p>
        {at.nextUp && (
          <p className="text-lg text-soft">
            next {at.nextUp.team} at {slotTimeText(at.slots.find((s) => s.id === at.next)!)}
          </p>
        )}
        {leads && (
          <p className="no-print mt-2 flex flex-wrap gap-3">
            {on ? (
              <>
                <button
                  type="button"
                  className={buttonClass("main")}
                  disabled={busy || !ready}
                  onClick={() => step(on, "end")}
                >
                  End {on.team}
                </button>
                <button
                  type="button"
                  className={buttonClass("quiet")}
                  disabled={busy || !ready}
                  onClick={() => step(on, "back")}
                >
                  it has not begun
                </button>
              </>
            ) : (
              <>
                {at.nextUp && (
                  <button
                    type="button"
                    className={buttonClass("main")}
                    disabled={busy || !ready}
                    onClick={() => step(at.nextUp!, "begin")}
                  >
                    Begin {at.nextUp.team}
                  </button>
                )}
                {last && (
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    disabled={busy || !ready}
                    onClick={() => step(last, "back")}
                  >
                    {last.team} is not over
                  </button>
                )}
              </>
            )}
          </p>
        )}
        <p className="no-print text-sm text-soft">
          <Chime
            moment={on && (warning === "last minute" || warning === "over") ? `${on.id} ${warning}` : ""}
            label="Sound here in the last minute and at the end"
          />
        </p>
        <p role="status" className="text-sm text-iron">
          {note}
        </p>
      </div>
      <table className="table">
        <thead>
          <tr>
            <th>Planned</th>
            <th>Team</th>
            <th>Reviewers</th>
            <th>Begins</th>
          </tr>
        </thead>
        <tbody>
          {at.slots.map((line) => {
            const s = room.slots.find((x) => x.id === line.id)!;
            return (
              <tr key={s.id} className={cx(line.state === "over" && "text-soft")}>
                <td>{clockOf(s.planned)}</td>
                <td className={cx(line.state === "on" && "font-[650]")}>{s.team}</td>
                <td>{s.reviewers.join(", ")}</td>
                <td>
                  {line.state === "over"
                    ? `${clockOf(line.begins)}–${clockOf(line.ends)}`
                    : line.state === "on"
                      ? `on since ${clockOf(line.begins)}`
                      : slotTimeText(line)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
