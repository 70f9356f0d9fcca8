"use client";

import { useState } from "react";
import { type BoardShows, boardShows } from "@/core/vocabulary/contest";
import { fieldsOf } from "@/ui/form/fields-of";
import { useSend } from "@/ui/form/send";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { buttonClass, Sheet } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { revealAwardAction, saveBoardAction, showOnBoardAction, withdrawBoardAction } from "../../actions";
import { board } from "../../schema";
import type { BoardSetting } from "../../view/board-face";

const { TextField, CheckField } = fieldsOf(board);

const Fields = () => (
  <>
    <TextField name="name" label="Name" placeholder="Hall" className="w-44" />
    <CheckField name="light" label="Light, for a beamer in a bright room" />
  </>
);

/** A new board. */
export const NewBoard = ({ projectId }: { projectId: string }) => (
  <UnfoldForm
    inline
    label="Add a board"
    buttonLook="plain"
    schema={board}
    action={saveBoardAction}
    fixed={{ projectId }}
    defaults={{ name: "", light: false }}
    submit="Add"
  >
    <Fields />
  </UnfoldForm>
);

interface Choice {
  readonly key: string;
  readonly label: string;
  readonly shows: BoardShows;
  readonly eventId: string | null;
}

const choicesFor = (events: readonly { id: string; name: string }[]): Choice[] => [
  { key: "running", label: "What runs", shows: "running", eventId: null },
  ...events.flatMap((e): Choice[] => [
    { key: `event ${e.id}`, label: e.name, shows: "event", eventId: e.id },
    { key: `order ${e.id}`, label: `${e.name}: who is on`, shows: "order", eventId: e.id },
  ]),
  { key: "overall", label: "Overall", shows: "overall", eventId: null },
  { key: "vote", label: "The crowd's vote", shows: "vote", eventId: null },
];

/** One board from the presenter's tablet: each press changes what the hall sees. */
export function Presenter({
  projectId,
  board: b,
  events,
  awards,
  href,
}: {
  projectId: string;
  board: BoardSetting;
  events: readonly { id: string; name: string }[];
  /** How many awards there are. */
  awards: number;
  href: string;
}) {
  const ready = useReady();
  const shown = useSend(showOnBoardAction);
  const revealed = useSend(revealAwardAction);
  const [words, setWords] = useState(b.words);
  const busy = !ready || shown.busy || revealed.busy;
  const isOn = (c: Choice) => c.shows === b.shows && (c.eventId === null || c.eventId === b.eventId);
  const show = (shows: BoardShows, eventId: string | null) =>
    shown.send({ id: b.id, shows, words, ...(eventId && { eventId }) });
  const press = (on: boolean) => `${buttonClass(on ? "main" : "plain")} min-h-11`;
  const left = awards - b.revealed;
  return (
    <Sheet
      title={b.name}
      aside={
        <a href={href} target="_blank" rel="noreferrer" className="underline">
          open it on its screen
        </a>
      }
    >
      <p className="mb-2 text-soft">
        Shows: {boardShows.labels[b.shows].split(":")[0]}
        {b.shows === "awards" && `, ${b.revealed} of ${awards} revealed`}
      </p>
      <div role="group" aria-label={`What ${b.name} shows`} className="flex flex-wrap gap-2">
        {choicesFor(events).map((c) => (
          <button
            key={c.key}
            type="button"
            disabled={busy}
            aria-pressed={isOn(c)}
            className={press(isOn(c))}
            onClick={() => show(c.shows, c.eventId)}
          >
            {c.label}
          </button>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-2">
        <button
          type="button"
          disabled={busy || left <= 0}
          className={press(b.shows === "awards")}
          onClick={() => revealed.send({ id: b.id, count: b.revealed + 1 })}
        >
          {b.revealed === 0 ? "Reveal the first award" : left > 0 ? "Reveal the next award" : "All awards are revealed"}
        </button>
        {b.revealed > 0 && (
          <>
            <button
              type="button"
              disabled={busy}
              className={buttonClass("quiet")}
              onClick={() => revealed.send({ id: b.id, count: b.revealed - 1 })}
            >
              one back
            </button>
            <button
              type="button"
              disabled={busy}
              className={buttonClass("quiet")}
              onClick={() => revealed.send({ id: b.id, count: 0 })}
            >
              hide all
            </button>
          </>
        )}
        <label className="ml-auto grid gap-0.5 text-sm">
          What the pause says
          <input
            className="input w-64"
            disabled={!ready}
            maxLength={120}
            placeholder="We go on at 14:10"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <button
          type="button"
          disabled={busy}
          className={press(b.shows === "pause")}
          onClick={() => show("pause", null)}
        >
          Pause
        </button>
      </div>
      {(shown.note || revealed.note) && (
        <p role="alert" className="mt-2 text-iron">
          {shown.note || revealed.note}
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-baseline gap-x-4">
        <UnfoldForm
          inline
          label="change"
          schema={board}
          action={saveBoardAction}
          fixed={{ projectId, id: b.id, version: b.version }}
          defaults={{ name: b.name, light: b.light }}
          submit="Save"
        >
          <Fields />
        </UnfoldForm>
        <WithdrawButton action={withdrawBoardAction} id={b.id} name={b.name}>
          take out
        </WithdrawButton>
      </div>
    </Sheet>
  );
}
