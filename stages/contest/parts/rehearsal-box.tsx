"use client";

import { ActButton } from "@/ui/form/act-button";
import { Sheet } from "@/ui/page";
import { simulateResultsAction, startRehearsalAction, wipeRehearsalAction } from "../actions";

/** The rehearsal of a contest's day: begin it, make results up event by event, wipe it. */
export const RehearsalBox = ({
  projectId,
  on,
  recorded,
  events,
  seed,
}: {
  projectId: string;
  on: boolean;
  /** What is on record of the day, in words; empty where nothing is. */
  recorded: string;
  events: readonly { readonly id: string; readonly name: string; readonly confirmed: boolean }[];
  /** Proposed for what is made up next. */
  seed: string;
}) =>
  on ? (
    <Sheet title="Rehearsal" aside={recorded || "nothing recorded yet"}>
      <p className="mb-2 text-soft">
        Everything works as on the day: inspect, tick the cautions, score from the links, look at the boards. What
        nobody enters is made up around what the builds did on the bench, with seed {seed}.
      </p>
      <ul>
        {events.map((e) => (
          <li key={e.id} className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-line py-1.5">
            <span className="w-44 font-[600]">{e.name}</span>
            {e.confirmed ? (
              <span className="text-soft">confirmed</span>
            ) : (
              <>
                <ActButton action={simulateResultsAction} input={{ id: e.id, seed }} look="quiet">
                  make the next round up
                </ActButton>
                <ActButton action={simulateResultsAction} input={{ id: e.id, seed, all: true }} look="quiet">
                  make all of it up
                </ActButton>
              </>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-3">
        <ActButton
          action={wipeRehearsalAction}
          input={{ projectId }}
          look="danger"
          confirm={
            `The rehearsal ends. ${recorded ? `These are wiped and cannot be brought back: ${recorded}. ` : ""}` +
            "Rules, entries, programme, boards and links stay."
          }
        >
          End the rehearsal and wipe it
        </ActButton>
      </div>
    </Sheet>
  ) : (
    <Sheet title="Rehearsal">
      <p className="mb-2 text-soft">
        {recorded
          ? `The contest has begun (${recorded}): there is nothing to rehearse any more.`
          : "Run through the whole day beforehand, with the devices and boards that you will use. Boards say that it " +
            "is a rehearsal, and all of it is wiped afterwards."}
      </p>
      {!recorded && (
        <ActButton action={startRehearsalAction} input={{ projectId }} look="plain">
          Rehearse the day
        </ActButton>
      )}
    </Sheet>
  );
