"use client";

import { yupResolver } from "@hookform/resolvers/yup";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { type DefaultValues, type FieldValues, FormProvider, type UseFormReturn, useForm } from "react-hook-form";
import type { ObjectSchema } from "yup";
import { cx } from "../classes";
import { buttonClass } from "../page";
import { useReady } from "../ready";
import { goTo as addressOf } from "./go-to";
import { type ConflictShown, lost, type Send } from "./result";
import { useSend } from "./send";

interface FormProps<T> {
  schema: ObjectSchema<FieldValues> | unknown;
  action: Send<T>;
  /** Values that the form does not show: ids and versions. */
  fixed?: Record<string, unknown>;
  defaults?: FieldValues;
  submit: string;
  look?: "main" | "plain" | "danger";
  /** Said when it was saved; left out, the page itself shows it. */
  saved?: string;
  onDone?: (value: T, form: UseFormReturn) => void;
  /** Where to go afterwards; `:name` is replaced by that part of the answer. */
  goTo?: string;
  cancel?: ReactNode;
  via?: "guest";
  children?: ReactNode;
  className?: string;
  /** Empties the form after it was saved. */
  clear?: boolean;
  /** Shapes the values before they are checked and sent. */
  shape?: (values: FieldValues) => unknown;
  inline?: boolean;
}

/**
 * One form for every write: checks with the schema, sends once, keeps what was typed, shows errors beside their fields
 * and both values of a conflict.
 */
export function ActionForm<T>({
  schema,
  action,
  fixed: fixedNow,
  defaults,
  submit,
  look = "main",
  saved,
  onDone,
  goTo,
  cancel,
  via,
  children,
  className,
  clear,
  shape,
  inline,
}: FormProps<T>) {
  const router = useRouter();
  const ready = useReady();
  // The version that the form was opened with stays with what is typed: a live refresh of the page must not slip a
  // newer one under it.
  const opened = useRef({ fixed: fixedNow, seen: JSON.stringify([fixedNow, defaults]) });
  const fixed = opened.current.fixed;
  const check = yupResolver(schema as never) as unknown as (
    values: object,
    context: unknown,
    options: unknown,
  ) => Promise<{ errors: object }>;
  const form = useForm({
    defaultValues: defaults as DefaultValues<FieldValues>,
    // What is checked is what would be sent; what is kept is what was typed.
    resolver: (async (values: FieldValues, context: unknown, options: unknown) => {
      const { errors } = await check(
        { ...opened.current.fixed, ...((shape ? shape(values) : values) as object) },
        context,
        options,
      );
      return Object.keys(errors).length ? { values: {}, errors } : { values, errors: {} };
    }) as never,
    // Not on leaving a field: a message that appears under the pointer moves the button that is being pressed.
    mode: "onSubmit",
  });
  const [note, setNote] = useState<{ kind: "bad" | "good"; text: string } | null>(null);
  const [conflict, setConflict] = useState<{ version: number; fields: readonly ConflictShown[] } | null>(null);
  const { send: post, busy } = useSend(action);
  const dirty = form.formState.isDirty;
  useEffect(() => {
    if (!dirty) return;
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [dirty]);

  const offered = JSON.stringify([fixedNow, defaults]);
  useEffect(() => {
    if (dirty || offered === opened.current.seen) return;
    opened.current = { fixed: fixedNow, seen: offered };
    form.reset(defaults as DefaultValues<FieldValues>);
  });

  async function send(values: FieldValues, version?: number) {
    if (busy) return;
    setNote(null);
    const shaped = (shape ? shape(values) : values) as object;
    const result = await post(
      { ...fixed, ...shaped, ...(version === undefined ? {} : { version, baseNumber: version }) },
      { via, stay: true },
    );
    if (!result) return setNote({ kind: "bad", text: lost });
    if (result.ok) {
      setConflict(null);
      if (clear) form.reset(defaults as DefaultValues<FieldValues>);
      else form.reset(values);
      if (saved) setNote({ kind: "good", text: saved });
      onDone?.(result.value, form as unknown as UseFormReturn);
      if (goTo) router.push(addressOf(goTo, result.value));
      router.refresh();
      return;
    }
    if (result.kind === "conflict")
      setConflict({ version: result.version!, fields: (result.fields ?? []) as readonly ConflictShown[] });
    if (result.kind === "invalid")
      for (const [field, message] of Object.entries(result.fields ?? {})) form.setError(field, { message });
    setNote({ kind: "bad", text: result.message });
  }
  return (
    <FormProvider {...form}>
      <form
        noValidate
        onSubmit={form.handleSubmit(
          (v) => send(v as FieldValues),
          () => setNote({ kind: "bad", text: "Look at the marked fields." }),
        )}
        className={className ?? (inline ? "flex flex-wrap items-end gap-3" : "grid gap-3")}
      >
        <fieldset disabled={!ready} className="contents">
          {children}
        </fieldset>
        {conflict && (
          <div className="rounded-md border border-ochre bg-ochre-wash px-3 py-2 text-sm" role="alert">
            <p className="font-[600]">Somebody else saved first.</p>
            <table className="my-1 w-full">
              <thead>
                <tr>
                  <th className="text-left">Field</th>
                  <th className="text-left">Yours</th>
                  <th className="text-left">Theirs</th>
                </tr>
              </thead>
              <tbody>
                {conflict.fields.map((f) => (
                  <tr key={f.field}>
                    <td className="pr-3 align-top text-soft">{f.label}</td>
                    <td className="max-w-60 pr-3 align-top wrap-break-word">{f.yours || "–"}</td>
                    <td className="max-w-60 align-top wrap-break-word">{f.theirs || "–"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <div className="flex gap-2">
              <button
                type="button"
                className={buttonClass("plain")}
                onClick={() => send(form.getValues(), conflict.version)}
              >
                Save mine over theirs
              </button>
              <button
                type="button"
                className={buttonClass("quiet")}
                onClick={() => {
                  window.onbeforeunload = null;
                  form.reset(form.getValues());
                  location.reload();
                }}
              >
                Take theirs
              </button>
            </div>
          </div>
        )}
        <div className={cx("flex flex-wrap items-center gap-3", !inline && "pt-1")}>
          <button type="submit" disabled={busy || !ready} className={buttonClass(look)}>
            {busy ? "Saving…" : submit}
          </button>
          {cancel}
          <p
            role="status"
            aria-live="polite"
            className={cx("text-sm", note?.kind === "bad" ? "text-iron" : "text-moss")}
          >
            {note?.text}
          </p>
        </div>
      </form>
    </FormProvider>
  );
}
