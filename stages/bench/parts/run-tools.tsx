"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { PictureUpload } from "@/ui/picture";
import {
  addRunPhotoAction,
  correctRunAction,
  moveRunAction,
  noteRunAction,
  restoreRunAction,
  voidRunAction,
} from "../actions";
import { correctRun, moveRun, runNote, voidRun } from "../schema";

const voiding = fieldsOf(voidRun);
const correcting = fieldsOf(correctRun);
const moving = fieldsOf(moveRun);
const noting = fieldsOf(runNote);

/** What can be done with one run: set it aside or take it back, correct its readings. */
export function RunTools({
  id,
  version,
  state,
  note,
  staff,
  typed,
  names,
  builds,
}: {
  id: string;
  version: number;
  state: string;
  /** What was seen at it. */
  note: string;
  staff: boolean;
  typed: { readings: Record<string, string>; conditions: Record<string, string> };
  names: { key: string; name: string; role: "readings" | "conditions" }[];
  /** Where else the run may belong. */
  builds: Option[];
}) {
  const [open, setOpen] = useState<"" | "void" | "correct" | "move" | "note">("");
  const close = (
    <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("")}>
      no
    </button>
  );
  if (open === "void")
    return (
      <ActionForm
        inline
        schema={voidRun}
        action={voidRunAction}
        fixed={{ id, version }}
        defaults={{ reason: "" }}
        submit="Set aside"
        look="plain"
        cancel={close}
        onDone={() => setOpen("")}
      >
        <voiding.TextField name="reason" label="Why" hideLabel placeholder="why" className="w-36" />
      </ActionForm>
    );
  if (open === "correct")
    return (
      <ActionForm
        schema={correctRun}
        action={correctRunAction}
        fixed={{ id, version }}
        defaults={{ ...typed, reason: "" }}
        submit="Correct"
        look="plain"
        cancel={close}
        onDone={() => setOpen("")}
        className="grid w-52 gap-2"
      >
        {names.map((n) => (
          <correcting.TextField key={n.key} name={`${n.role}.${n.key}`} label={n.name} />
        ))}
        <correcting.TextField name="reason" label="Why" />
      </ActionForm>
    );
  if (open === "move")
    return (
      <ActionForm
        schema={moveRun}
        action={moveRunAction}
        fixed={{ id, version }}
        defaults={{ buildId: "", reason: "" }}
        submit="Move it there"
        look="plain"
        cancel={close}
        onDone={() => setOpen("")}
        className="grid w-52 gap-2"
      >
        <moving.SelectField name="buildId" label="It was a run of" empty="choose" options={builds} />
        <moving.TextField name="reason" label="Why" />
      </ActionForm>
    );
  if (open === "note")
    return (
      <div className="grid w-60 gap-2">
        <ActionForm
          schema={runNote}
          action={noteRunAction}
          fixed={{ id, version }}
          defaults={{ note }}
          submit="Keep the note"
          look="plain"
          cancel={close}
          onDone={() => setOpen("")}
          className="grid gap-2"
        >
          <noting.TextArea name="note" label="What was seen" rows={2} />
        </ActionForm>
        <PictureUpload action={addRunPhotoAction} input={{ runId: id }} label="Photo of the run">
          Add a photo
        </PictureUpload>
      </div>
    );
  return (
    <span className="no-print flex flex-wrap gap-x-2 text-sm text-soft">
      {state !== "void" && (
        <button type="button" className="underline" onClick={() => setOpen("correct")}>
          correct
        </button>
      )}
      <button type="button" className="underline" onClick={() => setOpen("note")}>
        {note ? "note" : "add a note"}
      </button>
      {staff && builds.length > 0 && (
        <button type="button" className="underline" onClick={() => setOpen("move")}>
          move
        </button>
      )}
      {staff && state !== "void" && (
        <button type="button" className="underline" onClick={() => setOpen("void")}>
          set aside
        </button>
      )}
      {staff && state === "void" && (
        <ActButton action={restoreRunAction} input={{ id, version }} look="quiet">
          take back
        </ActButton>
      )}
    </span>
  );
}
