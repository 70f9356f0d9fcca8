"use client";

import { useState } from "react";
import { amendEntry } from "@/data/schemas/front";
import { ActionForm, TextArea, TextField } from "@/ui/form";
import { useDraft, useOutbox } from "@/ui/outbox";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { amendEntryAction, writeEntryAction } from "./actions";

/** Today's entry: kept while it is typed, sent when there is a network. */
export function EntryField({ projectId, personId, known }: { projectId: string; personId: string; known: string[] }) {
  const [text, setText] = useDraft(`notebook.${projectId}.${personId}`);
  const ready = useReady();
  const box = useOutbox<{ id: string; projectId: string; personId: string; text: string }>(
    `notebook.${personId}.${projectId}`,
    writeEntryAction,
    known,
  );
  const send = () => {
    if (!text.trim()) return;
    box.add({ id: crypto.randomUUID(), projectId, personId, text: text.trim() });
    setText("");
  };
  const stuck = box.waiting.filter((w) => !w.sent);
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Today's entry</span>
        <textarea
          rows={5}
          className="input"
          disabled={!ready}
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="What I did, what I saw, what I decided and why, what is next"
        />
      </label>
      <div className="flex flex-wrap items-center gap-3">
        <button type="submit" className={buttonClass("main")} disabled={!text.trim()}>
          Write it into the notebook
        </button>
        <p role="status" className="text-sm text-ochre-deep">
          {stuck.length ? (stuck[0]!.problem ?? `${stuck.length} waits in this browser until there is a network.`) : ""}
        </p>
      </div>
      {stuck.map((w) => (
        <p key={w.id} className="border-l-3 border-ochre pl-2.5 whitespace-pre-wrap text-soft">
          {w.input.text}
          {w.problem && (
            <button type="button" className="ml-2 underline" onClick={() => box.retry(w.id)}>
              send again
            </button>
          )}
        </p>
      ))}
    </form>
  );
}

export function Amend({ id, version, text }: { id: string; version: number; text: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(true)}>
        amend
      </button>
    );
  return (
    <ActionForm
      schema={amendEntry}
      action={amendEntryAction}
      fixed={{ id, version }}
      defaults={{ text, reason: "" }}
      submit="Amend"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          Leave
        </button>
      }
    >
      <TextArea name="text" label="Entry" rows={5} />
      <TextField name="reason" label="Why it is amended" hint="The first writing stays readable below." />
    </ActionForm>
  );
}
