"use client";

import { useState } from "react";
import { sendBoxed } from "@/ui/boxed";
import { cx } from "@/ui/classes";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import Link from "@/ui/link";
import { useDraft, useOutbox } from "@/ui/outbox";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { amendNoteAction } from "../actions";
import { amendNote } from "../schema";
import { WithdrawNote } from "./buttons";

const { TextField } = fieldsOf(amendNote);

interface NoteLine {
  id: string;
  questionId: string | null;
  text: string;
  author: string;
  authorId: string | null;
  at: string;
  version: number;
  became: string[];
}

function NoteField({ name, label, onSend }: { name: string; label: string; onSend: (text: string) => void }) {
  const [text, setText] = useDraft(name);
  const ready = useReady();
  const send = () => {
    if (!text.trim()) return;
    onSend(text.trim());
    setText("");
  };
  return (
    <form
      className="no-print flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <textarea
        rows={1}
        className="input grow"
        aria-label={label}
        placeholder="A note, then Enter"
        disabled={!ready}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && !e.shiftKey) {
            e.preventDefault();
            send();
          }
        }}
      />
      <button type="submit" className={buttonClass()}>
        Note
      </button>
    </form>
  );
}

/**
 * Many hands at once: each question with its notes as they come in, and a line to write in. What cannot be sent waits
 * in this browser.
 */
export function SessionBoard({
  sourceId,
  me,
  questions,
  notes,
  closed,
  general,
  slug,
}: {
  slug: string;
  sourceId: string;
  me: string;
  questions: { id: string; text: string; asker: string | null }[];
  notes: NoteLine[];
  closed: boolean;
  general: string;
}) {
  const box = useOutbox<{ id: string; sourceId: string; questionId?: string; text: string; writtenAt: string }>(
    `notes.${me}.${sourceId}`,
    sendBoxed("note"),
    {},
    notes.map((n) => n.id),
  );
  const [amended, setAmended] = useState("");
  const stuck = box.waiting.filter((w) => !w.sent);
  const write = (questionId: string | undefined) => (text: string) =>
    box.add({
      id: crypto.randomUUID(),
      sourceId,
      ...(questionId ? { questionId } : {}),
      text,
      writtenAt: new Date().toISOString(),
    });
  const column = (questionId: string | null) => (
    <ul className="grid gap-1">
      {notes
        .filter((n) => n.questionId === questionId)
        .map((n) => (
          <li key={n.id} className={cx("border-l-3 pl-2.5", n.authorId === me ? "border-iron" : "border-stone-3")}>
            {amended === n.id ? (
              <ActionForm
                inline
                schema={amendNote}
                action={amendNoteAction}
                fixed={{ id: n.id, version: n.version }}
                defaults={{ text: n.text }}
                submit="Save"
                onDone={() => setAmended("")}
              >
                <TextField name="text" label="Note" hideLabel className="w-72" />
              </ActionForm>
            ) : (
              <span className="whitespace-pre-wrap">{n.text}</span>
            )}
            <span className="ml-2 text-xs text-soft">
              {n.author} {n.at}
              {n.became.map((c) => (
                <Link key={c} href={`/p/${slug}/needs?r=${c}`} className="ml-2 underline">
                  {c}
                </Link>
              ))}
              {n.authorId === me && amended !== n.id && !closed && (
                <>
                  <button type="button" className="mx-2 underline" onClick={() => setAmended(n.id)}>
                    correct
                  </button>
                  <WithdrawNote id={n.id} />
                </>
              )}
            </span>
          </li>
        ))}
      {box.waiting
        .filter((w) => (w.input.questionId ?? null) === questionId)
        .map((w) => (
          <li key={w.id} className="border-l-3 border-ochre pl-2.5 text-soft">
            {w.input.text}
            <span className="ml-2 text-xs">
              {w.sent ? (
                "saved"
              ) : w.problem ? (
                <>
                  {w.problem}{" "}
                  <button type="button" className="underline" onClick={() => box.retry(w.id)}>
                    send again
                  </button>{" "}
                  <button type="button" className="underline" onClick={() => box.drop(w.id)}>
                    leave out
                  </button>
                </>
              ) : (
                "waits for the network"
              )}
            </span>
          </li>
        ))}
    </ul>
  );
  return (
    <>
      <p role="status" className={cx("mb-2 min-h-5 text-sm", stuck.length ? "text-ochre-deep" : "text-soft")}>
        {stuck.length
          ? `${stuck.length} ${stuck.length === 1 ? "note waits" : "notes wait"} in this browser` +
            `${box.offline ? ": no network" : ""}. Go on writing; ${stuck.length === 1 ? "it is" : "they are"} ` +
            "sent by itself."
          : closed
            ? "This session is closed."
            : "Everything written is saved."}
      </p>
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-2">
        {questions.map((q, i) => (
          <section
            key={q.id}
            className="grid content-start gap-1.5 border-t-2 border-stone-3 pt-1.5"
            aria-label={q.text}
          >
            <h2>
              {i + 1}. {q.text}
              {q.asker && <span className="font-normal text-soft"> asked by {q.asker}</span>}
            </h2>
            {column(q.id)}
            {!closed && <NoteField name={`${sourceId}.${q.id}`} label={`Note on “${q.text}”`} onSend={write(q.id)} />}
          </section>
        ))}
        <section className="grid content-start gap-1.5 border-t-2 border-stone-3 pt-1.5" aria-label={general}>
          <h2>{general}</h2>
          {column(null)}
          {!closed && <NoteField name={`${sourceId}.other`} label={general} onSend={write(undefined)} />}
        </section>
      </div>
    </>
  );
}
