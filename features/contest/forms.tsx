"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { useFormContext } from "react-hook-form";
import { attemptSchools, foulSchools } from "@/core/points/attempts";
import { parseQuantity } from "@/core/quantity/quantity";
import { drawOrder, event, inspection, voidAttempt } from "@/data/schemas/judging";
import { ActButton, ActionForm, ChoiceField, SelectField, TextField } from "@/ui/form";
import { buttonClass, LinkButton } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { RuleFields } from "@/ui/rule-fields";
import { readRule, type TypedRule } from "@/ui/rule-fields-read";
import {
  confirmEventAction,
  drawRunOrderAction,
  inspectEntryAction,
  refreshEntriesAction,
  reopenEventAction,
  saveEventAction,
  scoreAttemptAction,
  voidAttemptAction,
} from "./actions";

type Option = { value: string; label: string };
const schoolOptions = (o: Record<string, string>): Option[] =>
  Object.entries(o).map(([value, label]) => ({ value, label }));

function Rules({ channels }: { channels: Record<string, Option[]> }) {
  const { watch } = useFormContext();
  return (
    <>
      <SelectField
        name="channel"
        label="What is measured"
        empty="choose"
        options={channels[watch("protocolId") as string] ?? []}
      />
      <SelectField
        name="better"
        label="Better is"
        options={[
          { value: "more", label: "more" },
          { value: "less", label: "less" },
        ]}
      />
      <SelectField name="school" label="Which attempt counts" options={schoolOptions(attemptSchools)} />
      <TextField name="n" label="Attempts" type="number" />
      {watch("school") === "best-k" && <TextField name="k" label="k" type="number" />}
      <SelectField name="foul" label="A foul or no finish" options={schoolOptions(foulSchools)} />
      <SelectField
        name="ties"
        label="Values closer than the instrument's resolution"
        options={[
          { value: "resolution", label: "tie: the instrument cannot tell them apart" },
          { value: "digits", label: "order by the recorded digits" },
        ]}
      />
      {watch("ties") === "resolution" && (
        <TextField name="resolution" label="Resolution" inputMode="decimal" hint="in the measure's unit" />
      )}
      <SelectField
        name="ranking"
        label="Places after a tie"
        options={[
          { value: "competition", label: "1 2 2 4: a tie leaves the next places empty" },
          { value: "dense", label: "1 2 2 3: no place is left empty" },
          { value: "shared", label: "1 2½ 2½ 4: tied places are averaged" },
        ]}
      />
    </>
  );
}

export function EventForm({
  projectId,
  slug,
  id,
  version,
  defaults,
  protocols,
  channels,
}: {
  projectId: string;
  slug: string;
  id?: string;
  version: number;
  defaults: Record<string, unknown> & { rule: TypedRule };
  protocols: Option[];
  channels: Record<string, Option[]>;
}) {
  return (
    <ActionForm
      schema={event}
      action={saveEventAction}
      fixed={{ projectId, id, version }}
      defaults={defaults}
      submit={id ? "Save the event" : "Set up the event"}
      goTo={`/p/${slug}/contest?event=:id`}
      cancel={
        <LinkButton href={`/p/${slug}/contest`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid max-w-[900px] gap-4"
      shape={(v) => ({ ...v, points: readRule(v.rule as TypedRule) })}
    >
      <div className="grid items-start gap-4 sm:grid-cols-2">
        <TextField name="name" label="Event" hint="for example Timed lift" />
        <SelectField name="protocolId" label="Measured under" options={protocols} />
        <Rules channels={channels} />
      </div>
      <ChoiceField
        ordered
        name="tieBreaks"
        label="Ties are broken by, in the order in which you choose"
        options={[
          { value: "second", label: "second-best attempt" },
          { value: "lighter", label: "lighter build" },
          { value: "earlier", label: "earlier inspection" },
          { value: "lot", label: "lot" },
        ]}
        hint="An unbroken tie is shared."
      />
      <fieldset className="grid items-start gap-4 border-t border-line pt-3 sm:grid-cols-3">
        <legend className="pr-2 text-sm text-soft">Points</legend>
        <RuleFields name="rule" none="no points: places only" />
      </fieldset>
      <TextField name="seed" label="Seed for lots" className="w-40" hint="shown before anything is drawn" />
    </ActionForm>
  );
}

export const DrawForm = ({ id, version, seed }: { id: string; version: number; seed: string }) => (
  <ActionForm
    inline
    schema={drawOrder}
    action={drawRunOrderAction}
    fixed={{ id, version }}
    defaults={{ seed }}
    submit="Draw the run order"
    look="plain"
  >
    <TextField name="seed" label="Seed" className="w-24" />
  </ActionForm>
);
export const RefreshButton = ({ id }: { id: string }) => (
  <ActButton action={refreshEntriesAction} input={{ id }} look="quiet">
    Take in new teams and builds
  </ActButton>
);
export const ConfirmButton = ({ id, version }: { id: string; version: number }) => (
  <ActButton
    action={confirmEventAction}
    input={{ id, version }}
    look="main"
    confirm="The result is fixed and goes on record."
  >
    Confirm the result
  </ActButton>
);
export const ReopenForm = ({ id, version }: { id: string; version: number }) => (
  <ActionForm
    inline
    schema={voidAttempt}
    action={reopenEventAction}
    fixed={{ id, version }}
    defaults={{ reason: "" }}
    submit="Reopen"
    look="plain"
  >
    <TextField name="reason" label="Reopen because" className="w-56" />
  </ActionForm>
);

export function InspectForm({
  entryId,
  version,
  outcome,
  note,
  via,
}: {
  entryId: string;
  version: number;
  outcome: string;
  note: string;
  via?: "guest";
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <span className="flex flex-wrap items-center gap-2">
        {outcome === "waiting" && (
          <ActButton action={inspectEntryAction} input={{ entryId, version, outcome: "passed", note: "" }} via={via}>
            Pass
          </ActButton>
        )}
        <button type="button" className="text-sm text-soft underline" onClick={() => setOpen(true)}>
          {outcome === "waiting" ? "turn away" : "inspect again"}
        </button>
      </span>
    );
  return (
    <ActionForm
      inline
      schema={inspection}
      action={inspectEntryAction}
      fixed={{ entryId, version }}
      via={via}
      defaults={{ outcome: outcome === "waiting" ? "turned away" : outcome, note }}
      submit="Save"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <SelectField
        name="outcome"
        label="Inspection"
        hideLabel
        options={["passed", "turned away", "waiting"].map((v) => ({ value: v, label: v }))}
      />
      <TextField name="note" label="Note" hideLabel placeholder="what was found" className="w-48" />
    </ActionForm>
  );
}

/** Scores the next attempt of one entry: large targets, one press; what waits is kept until it is saved. */
export function ScoreEntry({
  entryId,
  team,
  attempt,
  of,
  readings,
  via,
  large,
}: {
  entryId: string;
  team: string;
  attempt: number;
  of: number;
  readings: { key: string; name: string; unit: string }[];
  via?: "guest";
  large?: boolean;
}) {
  const router = useRouter();
  const [values, setValues] = useState<Record<string, string>>({});
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const runId = useRef("");
  const ready = useReady();
  async function send(state: "valid" | "foul" | "no_finish") {
    if (busy) return;
    if (state === "valid")
      for (const r of readings) {
        const parsed = parseQuantity(values[r.key] ?? "", r.unit);
        if (!parsed.ok) return setNote({ bad: true, text: `${r.name}: ${parsed.message}` });
      }
    setBusy(true);
    setNote(null);
    runId.current ||= crypto.randomUUID();
    try {
      const r = await scoreAttemptAction({ id: runId.current, entryId, state, readings: values }, { via });
      if (!r.ok) return setNote({ bad: true, text: r.message });
      runId.current = "";
      setValues({});
      setNote({ bad: false, text: `${team}: attempt ${r.value.attempt} is saved.` });
      router.refresh();
    } catch {
      setNote({ bad: true, text: "No connection. This attempt waits here; send it again." });
    } finally {
      setBusy(false);
    }
  }
  const size = large ? "min-h-13 px-5 text-[16px]" : "";
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void send("valid");
      }}
      className="grid gap-2"
      aria-label={`Attempt ${attempt} of ${team}`}
    >
      <div className="flex flex-wrap items-end gap-2.5">
        {readings.map((r) => (
          <label key={r.key} className="grid gap-0.5 text-sm">
            <span>{r.name}</span>
            <span className="flex items-center gap-1">
              <input
                disabled={!ready}
                className={`input text-right ${large ? "min-h-13 w-40 text-[22px]" : "w-24"}`}
                inputMode="decimal"
                autoComplete="off"
                value={values[r.key] ?? ""}
                onChange={(e) => {
                  setValues({ ...values, [r.key]: e.target.value });
                  setNote(null);
                }}
              />
              <span className="text-soft">{r.unit}</span>
            </span>
          </label>
        ))}
        <button type="submit" disabled={busy} className={`${buttonClass("main")} ${size}`}>
          {busy ? "Saving…" : `Save attempt ${attempt} of ${of}`}
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("foul")}>
          Foul
        </button>
        <button type="button" disabled={busy} className={`${buttonClass()} ${size}`} onClick={() => send("no_finish")}>
          No finish
        </button>
      </div>
      <p role="status" className={note?.bad ? "text-sm text-iron" : "text-sm text-moss"}>
        {note?.text}
      </p>
    </form>
  );
}

export function VoidAttempt({
  id,
  version,
  via,
  label,
}: {
  id: string;
  version: number;
  via?: "guest";
  label: string;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button
        type="button"
        className="text-xs text-soft underline"
        aria-label={`Set aside ${label}`}
        onClick={() => setOpen(true)}
      >
        set aside
      </button>
    );
  return (
    <ActionForm
      inline
      schema={voidAttempt}
      action={voidAttemptAction}
      fixed={{ id, version }}
      via={via}
      defaults={{ reason: "" }}
      submit="Set aside"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <TextField name="reason" label="Why" hideLabel placeholder="why" className="w-36" />
    </ActionForm>
  );
}
