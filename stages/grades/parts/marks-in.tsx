"use client";

import { useState } from "react";
import { FileButton, listFiles } from "@/ui/file-button";
import { ActButton } from "@/ui/form/act-button";
import { buttonClass } from "@/ui/page";
import { PasteField } from "@/ui/paste-field";
import { useReady } from "@/ui/ready";
import { DataTable } from "@/ui/table";
import { toast } from "@/ui/toast";
import { type Tried, tryOn } from "@/ui/try";
import { enterMarksAction } from "../actions";
import type { MarksLook } from "../view/import-marks";

const MOST = 1_000_000;

/** Takes marks in from a spreadsheet: first what would change, then all of it in one write. */
export function MarksIn({ projectId, slug, example }: { projectId: string; slug: string; example: string }) {
  const [text, setText] = useState("");
  const [look, setLook] = useState<Tried<MarksLook> | null>(null);
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState("");
  const ready = useReady();
  const preview = async (list: string) => {
    setBusy(true);
    try {
      setLook(await tryOn<MarksLook>("marks", slug, { text: list }));
    } catch {
      setLook({ wrong: "The server does not answer. What you pasted is still here: look again." });
    }
    setBusy(false);
  };
  return (
    <div className="grid gap-3">
      <PasteField
        label="Paste from a spreadsheet"
        disabled={!ready}
        value={text}
        placeholder={example}
        onChange={(pasted) => {
          setText(pasted);
          setLook(null);
        }}
      >
        With a heading row: Student, Email or Sign-in name, then components by their names. Marks are typed as in the
        gradebook; under a heading with (%) a number is percent. Empty cells change nothing.
      </PasteField>
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className={buttonClass()} disabled={busy || !text.trim()} onClick={() => preview(text)}>
          See what changes
        </button>
        <FileButton
          label="CSV file of marks"
          disabled={busy || !ready}
          accept={listFiles}
          onFile={async (file) => {
            if (file.size > MOST) return setNote("This file is larger than 1 MB; a class's marks are a few kilobytes.");
            setNote("");
            const list = await file.text();
            setText(list);
            await preview(list);
          }}
        >
          Choose a CSV file
        </FileButton>
        <p role="status" className="text-sm text-iron">
          {note || (look && "wrong" in look ? look.wrong : "")}
        </p>
      </div>
      {look && "answer" in look && (
        <Looked
          look={look.answer}
          projectId={projectId}
          onDone={() => {
            setLook(null);
            setText("");
          }}
        />
      )}
    </div>
  );
}

/** What the list would change, and the press that changes it. */
function Looked({ look, projectId, onDone }: { look: MarksLook; projectId: string; onDone: () => void }) {
  const n = look.changes.length;
  return (
    <section aria-label="What would change" className="grid gap-2 border-t border-line pt-3">
      <p className="font-[600]">
        {n === 0 ? "No mark would change" : `${n} mark${n === 1 ? "" : "s"} would change`}
        {look.same > 0 && `, ${look.same} say what stands already`}.
      </p>
      {look.problems.length > 0 && (
        <ul className="max-h-48 overflow-y-auto text-sm" tabIndex={0} aria-label="What is wrong with the list">
          {look.problems.map((p) => (
            <li key={`${p.line} ${p.message}`}>
              <span className="text-soft">Line {p.line}:</span> {p.message}
            </li>
          ))}
        </ul>
      )}
      {n > 0 && (
        <>
          <DataTable
            caption="Marks that would change"
            columns={[
              { key: "student", text: "Student" },
              { key: "column", text: "Component" },
              { key: "was", text: "Now" },
              { key: "typed", text: "Then" },
            ]}
            rows={look.changes.map((c) => ({
              id: `${c.personId} ${c.component}`,
              cells: { student: c.student, column: c.column, was: c.was, typed: c.typed },
            }))}
          />
          <div>
            <ActButton
              look="main"
              action={enterMarksAction}
              input={{
                projectId,
                marks: look.changes.map(({ personId, component, version, typed }) => ({
                  personId,
                  component,
                  version,
                  typed,
                })),
              }}
              onDone={() => {
                toast(`${n} mark${n === 1 ? " is" : "s are"} entered.`);
                onDone();
              }}
            >
              Enter {n} mark{n === 1 ? "" : "s"}
            </ActButton>
            {look.problems.length > 0 && (
              <span className="ml-3 text-sm text-soft">What has a problem is left as it is.</span>
            )}
          </div>
        </>
      )}
    </section>
  );
}
