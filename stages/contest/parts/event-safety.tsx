"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ReasonForm, UnfoldReason } from "@/ui/form/reason-form";
import { useSend } from "@/ui/form/send";
import { useNewId } from "@/ui/new-id";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { TickList } from "@/ui/tick-list";
import { checkEventAction, haltEventAction, liftHaltAction, tickRulesAction } from "../actions";
import type { EventSafety } from "../queries/safety";

interface Of {
  readonly event: EventSafety;
  /** Whoever only scores may stop it, and does not tick or lift. */
  readonly judges: boolean;
  readonly via?: "guest";
}

function Check({ event, via }: Omit<Of, "judges">) {
  const ready = useReady();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [signed, setSigned] = useState("");
  const { send, busy, note } = useSend(checkEventAction);
  const left = event.cautions.filter((c) => !ticked.includes(c)).length;
  return (
    <section
      aria-label={`Cautions of ${event.name}`}
      className="mb-3 grid max-w-[720px] gap-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2.5"
    >
      <h2 className="text-[14px]">Before the first of today{event.officer && `, to be ticked by ${event.officer}`}</h2>
      <TickList items={event.cautions} ticked={ticked} disabled={!ready} onChange={setTicked} />
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-0.5 text-sm">
          Name of who answers for it
          <input
            className="input min-h-11 w-56 sm:min-h-8"
            disabled={!ready}
            maxLength={80}
            autoComplete="off"
            value={signed}
            onChange={(e) => setSigned(e.target.value)}
          />
        </label>
        <button
          type="button"
          disabled={!ready || busy || left > 0 || !signed.trim()}
          className={`${buttonClass("main")} max-sm:min-h-11`}
          onClick={() => send({ id: event.eventId, cautions: event.cautions, signed }, { via })}
        >
          {busy ? "Saving…" : "All of it is so: begin"}
        </button>
      </div>
      <p role="status" className={note ? "text-sm text-iron" : "text-sm text-soft"}>
        {note || (left > 0 ? `${left} to tick. If one is not so, nothing begins; the school's rules come first.` : "")}
      </p>
    </section>
  );
}

/** Stops it: whoever sees a danger may, with one line. */
function Halt({ event, via }: Omit<Of, "judges">) {
  const [id, renew] = useNewId();
  return (
    <UnfoldReason
      button={{ className: buttonClass("plain"), says: "Halt the event" }}
      action={haltEventAction}
      input={{ id, eventId: event.eventId }}
      name="reason"
      via={via}
      submit="Halt it now"
      onDone={renew}
      look="danger"
      label="Why (it stands on the board)"
      className="w-72"
    />
  );
}

/** What has to be so before an event begins, and the way to stop it: nothing is scored while it is halted. */
export function SafetyBar({ event, judges, via }: Of) {
  if (event.halt)
    return (
      <section aria-label={`${event.name} is halted`} className="mb-3 border-l-4 border-iron bg-iron-wash px-3 py-2.5">
        <p role="alert">
          <strong className="text-iron">Halted:</strong> {event.halt.reason}{" "}
          <span className="text-sm text-soft">({event.halt.by})</span>
        </p>
        {judges ? (
          <ReasonForm
            action={liftHaltAction}
            input={{ id: event.halt.id }}
            name="note"
            via={via}
            submit="Go on"
            label="What was done about it"
            className="w-72"
          />
        ) : (
          <p className="text-sm text-soft">A judge or the instructor lets it go on.</p>
        )}
      </section>
    );
  return (
    <>
      {event.rehearsal && (
        <p className="mb-2 font-[600] text-ochre-deep">Rehearsal: what is scored now is wiped when it ends.</p>
      )}
      {event.copied && (
        <section
          aria-label={`Rules of ${event.name}`}
          className="mb-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2.5"
        >
          <p className="mb-2">
            These rules were copied from the edition before. Nothing is scored until they are read and ticked.
          </p>
          {via ? (
            <p className="text-sm text-soft">The instructor ticks them.</p>
          ) : (
            <ActButton action={tickRulesAction} input={{ id: event.eventId, version: event.version }} look="main">
              I have read them, and they hold this year
            </ActButton>
          )}
        </section>
      )}
      {event.cautions.length > 0 &&
        !event.check &&
        (judges ? (
          <Check key={event.cautions.join()} event={event} via={via} />
        ) : (
          <p className="mb-2 text-ochre-deep">It begins when a judge has ticked the cautions.</p>
        ))}
      <div className="no-print mb-2 flex flex-wrap items-baseline gap-x-4 text-sm text-soft">
        {event.check && <span>Cautions ticked by {event.check.signed}.</span>}
        {event.before[0] && (
          <span>
            Halted before: {event.before[0].reason}; {event.before[0].note}
          </span>
        )}
        <Halt event={event} via={via} />
      </div>
    </>
  );
}
