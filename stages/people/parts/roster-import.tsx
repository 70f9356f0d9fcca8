"use client";

import { useState } from "react";
import { FileButton, listFiles } from "@/ui/file-button";
import { ActButton } from "@/ui/form/act-button";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { PasteField } from "@/ui/paste-field";
import { useReady } from "@/ui/ready";
import { importRosterAction, previewRosterAction } from "../actions";
import type { RosterLook } from "../queries/roster";

const base64 = async (file: File) => {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = "";
  for (let i = 0; i < bytes.length; i += 32_768) text += String.fromCharCode(...bytes.subarray(i, i + 32_768));
  return btoa(text);
};

/** Roster from a file or the clipboard: first a preview with every problem named, then all or nothing. */
export function RosterImport({ projectId, sections }: { projectId: string; sections: string[] }) {
  const [text, setText] = useState("");
  const ready = useReady();
  const [look, setLook] = useState<RosterLook | null>(null);
  const { send, busy, note, setNote } = useSend(previewRosterAction);
  const preview = async (input: { text?: string; base64?: string }) => {
    const r = await send({ projectId, ...input }, { stay: true });
    if (r) setLook(r.ok ? r.value : null);
  };
  return (
    <div className="grid gap-3">
      <PasteField
        label="Paste from a spreadsheet"
        disabled={!ready}
        value={text}
        placeholder={`Name\tSection\tEmail\nAda Quill\t${sections[0] ?? "3"}\t`}
        onChange={(pasted) => {
          setText(pasted);
          setLook(null);
        }}
      >
        With a heading row: Name (or First name and Last name), Section
        {sections.length > 1 ? ` (${sections.join(", ")})` : ""}, and Email if students shall sign in.
      </PasteField>
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={buttonClass()}
          disabled={busy || !text.trim()}
          onClick={() => preview({ text })}
        >
          Preview
        </button>
        <FileButton
          label="CSV file"
          disabled={busy}
          accept={listFiles}
          onFile={async (file) => {
            if (file.size > 5_000_000)
              return setNote("This file is larger than 5 MB; a roster is a few kilobytes. Choose the CSV file.");
            await preview({ base64: await base64(file) });
          }}
        >
          Choose a CSV file
        </FileButton>
        <p role="status" className="text-sm text-iron">
          {note}
        </p>
      </div>
      {look && (
        <section aria-label="Preview" className="border-t border-line pt-3">
          <p className="font-[600]">
            {look.rows.length} students can be imported
            {look.known > 0 && `, ${look.known} of them are here already and stay as they are`}.
            {look.problems.length > 0 && (
              <span className="text-iron">
                {" "}
                {look.problems.length} {look.problems.length === 1 ? "row has a problem" : "rows have problems"}.
              </span>
            )}
          </p>
          {look.warning && <p className="mt-1 bg-ochre-wash px-2 py-1 text-sm">{look.warning}</p>}
          {look.problems.length > 0 && (
            <ul className="mt-1 max-h-48 overflow-y-auto text-sm">
              {look.problems.slice(0, 200).map((p, i) => (
                <li key={i}>
                  <span className="text-soft">Line {p.line}:</span> {p.message}
                </li>
              ))}
              {look.problems.length > 200 && <li className="text-soft">and {look.problems.length - 200} more</li>}
            </ul>
          )}
          {look.rows.length > 0 && (
            <ul className="mt-2 columns-2 text-sm lg:columns-3">
              {look.rows.slice(0, 60).map((r) => (
                <li key={r.line}>
                  {r.name} <span className="text-soft">{r.section}</span>
                </li>
              ))}
              {look.rows.length > 60 && <li className="text-soft">and {look.rows.length - 60} more</li>}
            </ul>
          )}
          {look.problems.length > 0 ? (
            <p className="mt-2 text-sm text-soft">
              Nothing is imported while a row has a problem. Mend the list and look again.
            </p>
          ) : (
            <div className="mt-3">
              <ActButton
                look="main"
                action={importRosterAction}
                input={{ projectId, rows: look.rows.map(({ name, section, email }) => ({ name, section, email })) }}
                onDone={(v) => {
                  setLook(null);
                  setText("");
                  const { added } = v as { added: number };
                  setNote(added === 1 ? "1 student was added." : `${added} students were added.`);
                }}
              >
                Import {look.rows.length} students
              </ActButton>
            </div>
          )}
        </section>
      )}
    </div>
  );
}
