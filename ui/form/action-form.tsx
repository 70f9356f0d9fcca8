"use client";

import { yupResolver } from "@hookform/resolvers/yup";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { type DefaultValues, type FieldValues, FormProvider, type UseFormReturn, useForm } from "react-hook-form";
import type { ObjectSchema } from "yup";
import { cx } from "../classes";
import { buttonClass } from "../page";
import { useReady } from "../ready";
import { useRefresh } from "../refresh";
import { toast } from "../toast";
import { ConflictBox } from "./conflict";
import { goTo as addressOf } from "./go-to";
import type { ConflictShown, Send } from "./result";
import { useSend } from "./send";

export interface FormProps<T> {
  schema: ObjectSchema<FieldValues> | unknown;
  action: Send<T>;
  /** What belongs to the form is typed beside it, and differs from what stands: a newer version is not followed. */
  held?: boolean;
  /** Values that the form does not show: ids and versions. */
  fixed?: Record<string, unknown>;
  defaults?: FieldValues;
  submit: string;
  look?: "main" | "plain" | "danger";
  /** Said when it was saved, for a while also where the page goes on; left out, the page itself shows it. */
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
  /** Shapes the values before they are checked and sent; `begun` is what was fixed when the typing began. */
  shape?: (values: FieldValues, begun: Readonly<Record<string, unknown>>) => unknown;
  inline?: boolean;
}

/**
 * One form for every write: checks with the schema, sends once, keeps what was typed, shows errors beside their fields
 * and both values of a conflict.
 */
export function ActionForm<T>({
  schema,
  action,
  held = false,
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
  const refresh = useRefresh();
  const ready = useReady();
  // The version that the form was opened with stays with what is typed: a live refresh of the page must not slip a
  // newer one under it.
  const opened = useRef({ fixed: fixedNow, seen: JSON.stringify([fixedNow, defaults]) });
  const shaped = (values: FieldValues, version?: number) => {
    const newer = version === undefined ? {} : { version, baseNumber: version };
    const begun = { ...opened.current.fixed, ...newer };
    return { ...begun, ...((shape ? shape(values, begun) : values) as object), ...newer };
  };
  const check = yupResolver(schema as never) as unknown as (
    values: object,
    context: unknown,
    options: unknown,
  ) => Promise<{ errors: object }>;
  const form = useForm({
    defaultValues: defaults as DefaultValues<FieldValues>,
    // What is checked is what would be sent; what is kept is what was typed.
    resolver: (async (values: FieldValues, context: unknown, options: unknown) => {
      const { errors } = await check(shaped(values), context, options);
      return Object.keys(errors).length ? { values: {}, errors } : { values, errors: {} };
    }) as never,
    // Not on leaving a field: a message that appears under the pointer moves the button that is being pressed.
    mode: "onSubmit",
  });
  const [good, setGood] = useState("");
  const [conflict, setConflict] = useState<{ version: number; fields: readonly ConflictShown[] } | null>(null);
  const { send: post, busy, note: bad, setNote: setBad } = useSend(action);
  const dirty = form.formState.isDirty;
  useEffect(() => {
    if (!dirty) return;
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [dirty]);

  const offered = JSON.stringify([fixedNow, defaults]);
  useEffect(() => {
    if (dirty || held || offered === opened.current.seen) return;
    opened.current = { fixed: fixedNow, seen: offered };
    form.reset(defaults as DefaultValues<FieldValues>);
  });

  async function send(values: FieldValues, version?: number) {
    if (busy) return;
    setGood("");
    const result = await post(shaped(values, version), { via, stay: true });
    if (!result) return;
    if (result.ok) {
      setConflict(null);
      if (clear) form.reset(defaults as DefaultValues<FieldValues>);
      else form.reset(values);
      if (saved && goTo) toast(saved);
      else setGood(saved ?? "");
      onDone?.(result.value, form as unknown as UseFormReturn);
      if (goTo) router.push(addressOf(goTo, result.value));
      refresh();
      return;
    }
    if (result.kind === "conflict")
      setConflict({ version: result.version!, fields: (result.fields ?? []) as readonly ConflictShown[] });
    if (result.kind === "invalid")
      for (const [field, message] of Object.entries(result.fields ?? {})) form.setError(field, { message });
  }
  return (
    <FormProvider {...form}>
      <form
        noValidate
        onSubmit={form.handleSubmit(
          (v) => send(v as FieldValues),
          () => setBad("Look at the marked fields."),
        )}
        className={className ?? (inline ? "flex flex-wrap items-end gap-3" : "grid gap-3")}
      >
        <fieldset disabled={!ready} className="contents">
          {children}
        </fieldset>
        {conflict && (
          <ConflictBox
            fields={conflict.fields}
            onMine={() => send(form.getValues(), conflict.version)}
            onTheirs={() => {
              window.onbeforeunload = null;
              form.reset(form.getValues());
              location.reload();
            }}
          />
        )}
        <div className={cx("flex flex-wrap items-center gap-3", !inline && "pt-1")}>
          <button type="submit" disabled={busy || !ready} className={buttonClass(look)}>
            {busy ? "Saving…" : submit}
          </button>
          {cancel}
          <p role="status" aria-live="polite" className={cx("text-sm", bad ? "text-iron" : "text-moss")}>
            {bad || good}
          </p>
        </div>
      </form>
    </FormProvider>
  );
}
