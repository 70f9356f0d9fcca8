"use client";

import { sendBoxed } from "@/ui/boxed";
import { useDraft, useOutbox } from "@/ui/outbox";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";

/** What a day's entry can be begun with. */
const headings = "Goal: \nDid: \nSaw: \nNext: ";

/** Today's entry: kept while it is typed, sent when there is a network. */
export function EntryField({ projectId, personId, known }: { projectId: string; personId: string; known: string[] }) {
  const [text, setText] = useDraft(`notebook.${projectId}.${personId}`);
  const ready = useReady();
  const box = useOutbox<{ id: string; projectId: string; personId: string; text: string }>(
    `notebook.${personId}.${projectId}`,
    sendBoxed("entry"),
    {},
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
        <button
          type="submit"
          className={buttonClass("main")}
          disabled={!text.trim() || text.trim() === headings.trim()}
        >
          Write it into the notebook
        </button>
        {!text.trim() && (
          <button type="button" className={buttonClass("quiet")} disabled={!ready} onClick={() => setText(headings)}>
            begin with goal, did, saw, next
          </button>
        )}
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
