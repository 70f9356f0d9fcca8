"use client";

import { type Agenda, agendaAt } from "@/core/log/agenda";
import { leftText } from "@/core/slots/clock";
import { Chime } from "@/ui/chime";
import { cx } from "@/ui/classes";
import { ActButton } from "@/ui/form/act-button";
import { useMinute } from "@/ui/minute";
import { beginClassAction } from "../actions";
import { AgendaStrip } from "./agenda-strip";
import type { ClassOn } from "./class-plan-form";

/** A running class: which part is on and what it has left, in figures that the room can read. */
function Running({ agenda, minutes, ran }: { agenda: Agenda; minutes: number; ran: number }) {
  const now = useMinute(ran);
  const at = agendaAt(agenda.items, now);
  const part = at ? agenda.items[at.index]! : null;
  const next = at ? agenda.items[at.index + 1] : null;
  const left = Math.floor((at ? at.left : minutes - now) * 60);
  const near = left <= 60;
  return (
    <div className="grid gap-3">
      <div
        className={cx("border-l-8 px-4 py-3", left < 0 || near ? "border-iron bg-iron-wash" : "border-moss bg-sheet")}
      >
        <p className="text-[23px] font-[650]">{part ? part.what : left < 0 ? "The class is over" : "Class"}</p>
        <p className="text-[clamp(56px,9vw,110px)] leading-none font-[650] tabular-nums" role="timer">
          {leftText(left)}
        </p>
        <p className="mt-1 text-soft">
          {next ? `then ${next.what}, ${next.minutes} min` : `minute ${Math.floor(now)} of ${minutes}`}
        </p>
      </div>
      <AgendaStrip agenda={agenda} minutes={minutes} at={now} />
      <p className="no-print text-sm text-soft">
        <Chime moment={at ? String(at.index) : left < 0 ? "over" : ""} label="Sound here when a part ends" />
      </p>
    </div>
  );
}

/** The clock of a class: it is begun by hand, on one device, and runs on all. */
export function ClassTimer({
  on,
  agenda,
  minutes,
  ran,
  isToday,
}: {
  on: ClassOn;
  agenda: Agenda;
  minutes: number;
  /** Minutes since it began, by the server; null while it has not. */
  ran: number | null;
  isToday: boolean;
}) {
  return (
    <div className="grid gap-2">
      {ran !== null && isToday ? (
        <Running agenda={agenda} minutes={minutes} ran={ran} />
      ) : (
        <AgendaStrip agenda={agenda} minutes={minutes} />
      )}
      <div className="no-print">
        {isToday ? (
          <ActButton
            action={beginClassAction}
            input={{ ...on, begun: ran === null }}
            look={ran === null ? "main" : "quiet"}
          >
            {ran === null ? "The class begins now" : "it has not begun"}
          </ActButton>
        ) : (
          ran === null && <p className="text-soft">The clock is started here on the day of the class.</p>
        )}
      </div>
    </div>
  );
}
