"use client";

import { type ReactNode, useId, useState } from "react";
import { cx } from "../classes";
import { buttonClass } from "../page";
import { useReady } from "../ready";
import type { Send } from "./result";
import { useSend } from "./send";

interface ReasonProps<T> {
  action: Send<T>;
  /** What is sent besides the line. */
  input: Readonly<Record<string, unknown>>;
  /** What the line is sent as. */
  name: string;
  label: string;
  hideLabel?: boolean;
  placeholder?: string;
  submit: string;
  look?: "main" | "plain" | "danger";
  className?: string;
  via?: "guest";
  onDone?: () => void;
  cancel?: ReactNode;
}

/**
 * An act that asks for one line and nothing else: light enough for a scorer's phone, where a whole form is not. The
 * line is needed; what was typed stays until it was taken.
 */
export function ReasonForm<T>({
  action,
  input,
  name,
  label,
  hideLabel,
  placeholder,
  submit,
  look = "plain",
  className,
  via,
  onDone,
  cancel,
}: ReasonProps<T>) {
  const ready = useReady();
  const id = useId();
  const [typed, setTyped] = useState("");
  const [wrong, setWrong] = useState("");
  const { send, busy, note } = useSend(action);
  async function act() {
    const line = typed.trim();
    if (!line) return setWrong("This is needed.");
    setWrong("");
    const result = await send({ ...input, [name]: line }, { via });
    if (result?.ok) onDone?.();
    else if (result?.kind === "invalid")
      setWrong((result.fields as Readonly<Record<string, string>> | undefined)?.[name] ?? "");
  }
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void act();
      }}
    >
      <span className={cx("grid content-start gap-1", className)}>
        <label htmlFor={id} className={hideLabel ? "sr-only" : "text-[12.5px] font-[600]"}>
          {label}
        </label>
        <input
          id={id}
          className="input"
          disabled={!ready}
          autoComplete="off"
          placeholder={placeholder}
          value={typed}
          aria-invalid={wrong !== ""}
          aria-describedby={`${id}-e`}
          onChange={(e) => setTyped(e.target.value)}
        />
      </span>
      <button type="submit" disabled={busy || !ready} className={buttonClass(look)}>
        {busy ? "Saving…" : submit}
      </button>
      {cancel}
      <p id={`${id}-e`} role="status" className="text-sm text-iron">
        {wrong || note}
      </p>
    </form>
  );
}

/** The same behind a button: it opens in place, and closes when it was sent or left. */
export function UnfoldReason<T>({
  button,
  onDone,
  ...form
}: Omit<ReasonProps<T>, "cancel"> & {
  /** What opens it. */
  button: { readonly className: string; readonly says: ReactNode; readonly label?: string };
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={button.className} aria-label={button.label} onClick={() => setOpen(true)}>
        {button.says}
      </button>
    );
  return (
    <ReasonForm
      {...form}
      onDone={() => {
        onDone?.();
        setOpen(false);
      }}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          Leave
        </button>
      }
    />
  );
}
