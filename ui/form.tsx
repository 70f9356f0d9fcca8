"use client";

import { yupResolver } from "@hookform/resolvers/yup";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useContext, useEffect, useId, useRef, useState } from "react";
import {
  type DefaultValues,
  type FieldValues,
  FormProvider,
  type UseFormReturn,
  useForm,
  useFormContext,
} from "react-hook-form";
import type { ObjectSchema } from "yup";
import { formatSi, parseQuantity } from "@/core/quantity/quantity";
import { cx } from "./classes";
import { buttonClass } from "./page";
import { useReady } from "./ready";

interface ConflictShown {
  field: string;
  label: string;
  yours: string;
  theirs: string;
}
export type ActionResult<T = unknown> =
  | { ok: true; value: T }
  | {
      ok: false;
      kind: string;
      message: string;
      fields?: Readonly<Record<string, string>> | readonly ConflictShown[];
      version?: number;
    };
type Send<T> = (input: unknown, envelope: { requestId: string; via?: "guest" }) => Promise<ActionResult<T>>;

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

const lost =
  "The network did not answer, or this page is out of date. What you typed is still here: send it " +
  "again, or copy it and reload.";

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
  const requestId = useRef("");
  const sending = useRef(false);
  const [busy, setBusy] = useState(false);
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
    if (sending.current) return;
    sending.current = true;
    setBusy(true);
    setNote(null);
    requestId.current ||= crypto.randomUUID();
    try {
      const shaped = (shape ? shape(values) : values) as object;
      const result = await action(
        { ...fixed, ...shaped, ...(version === undefined ? {} : { version, baseNumber: version }) },
        { requestId: requestId.current, via },
      );
      // Any answer ends this request: a changed form is a new one.
      requestId.current = "";
      if (result.ok) {
        setConflict(null);
        if (clear) form.reset(defaults as DefaultValues<FieldValues>);
        else form.reset(values);
        if (saved) setNote({ kind: "good", text: saved });
        onDone?.(result.value, form as unknown as UseFormReturn);
        if (goTo) {
          const parts = (result.value ?? {}) as Record<string, unknown>;
          router.push(goTo.replace(/:(\w+)/g, (_, k) => String(parts[k] ?? "")));
        }
        router.refresh();
      } else if (result.kind === "conflict") {
        setConflict({ version: result.version!, fields: (result.fields ?? []) as readonly ConflictShown[] });
        setNote({ kind: "bad", text: result.message });
      } else {
        if (result.kind === "invalid")
          for (const [field, message] of Object.entries(result.fields ?? {})) form.setError(field, { message });
        setNote({ kind: "bad", text: result.message });
      }
    } catch {
      setNote({ kind: "bad", text: lost });
    } finally {
      sending.current = false;
      setBusy(false);
    }
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

/** A button that is a whole form: one act, its answer shown in place. Asks once more where something goes. */
export function ActButton<T>({
  action,
  input,
  children,
  look = "plain",
  confirm,
  onDone,
  goTo,
  via,
}: {
  action: Send<T>;
  input: unknown;
  children: ReactNode;
  look?: "plain" | "main" | "quiet" | "danger";
  confirm?: string;
  onDone?: (value: T) => void;
  goTo?: string;
  via?: "guest";
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState(false);
  const [note, setNote] = useState("");
  const requestId = useRef("");
  async function act() {
    if (busy) return;
    if (confirm && !asked) return setAsked(true);
    setBusy(true);
    setNote("");
    requestId.current ||= crypto.randomUUID();
    try {
      const result = await action(input, { requestId: requestId.current, via });
      requestId.current = "";
      if (!result.ok) return setNote(result.message);
      onDone?.(result.value);
      if (goTo)
        router.push(goTo.replace(/:(\w+)/g, (_, k) => String((result.value as Record<string, unknown>)?.[k] ?? "")));
      router.refresh();
    } catch {
      setNote(lost);
    } finally {
      setBusy(false);
      setAsked(false);
    }
  }
  return (
    <span className="inline-flex flex-wrap items-center gap-2">
      {asked && <span className="text-sm">{confirm}</span>}
      <button type="button" onClick={act} disabled={busy} className={buttonClass(asked ? "danger" : look)}>
        {asked ? "Yes, do it" : children}
      </button>
      {asked && (
        <button type="button" onClick={() => setAsked(false)} className={buttonClass("quiet")}>
          No
        </button>
      )}
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}

const Prefix = createContext("");
export const FieldGroup = ({ name, children }: { name: string; children: ReactNode }) => (
  <Prefix.Provider value={`${name}.`}>{children}</Prefix.Provider>
);

/** A field's full name in its group. */
export const useFieldName = (name: string): string => useContext(Prefix) + name;

function useField(name: string) {
  const full = useFieldName(name);
  const form = useFormContext();
  const id = useId();
  const error = form.getFieldState(full, form.formState).error?.message;
  return {
    full,
    id,
    form,
    error,
    register: (options?: Parameters<typeof form.register>[1]) => form.register(full, options),
  };
}

interface FieldProps {
  name: string;
  label: string;
  hint?: ReactNode;
  className?: string;
  hideLabel?: boolean;
}

function Frame({
  id,
  label,
  hint,
  error,
  children,
  className,
  hideLabel,
}: Omit<FieldProps, "name"> & { id: string; error?: string; children: ReactNode }) {
  return (
    <div className={cx("grid content-start gap-1", className)}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "text-[12.5px] font-[600]"}>
        {label}
      </label>
      {children}
      {error ? (
        <p id={`${id}-e`} className="text-sm text-iron">
          {error}
        </p>
      ) : hint ? (
        <p id={`${id}-e`} className="text-sm text-soft">
          {hint}
        </p>
      ) : null}
    </div>
  );
}

export function TextField({
  type = "text",
  placeholder,
  autoComplete,
  inputMode,
  ...p
}: FieldProps & { type?: string; placeholder?: string; autoComplete?: string; inputMode?: "decimal" | "numeric" }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <input
        id={f.id}
        type={type}
        className="input"
        placeholder={placeholder}
        autoComplete={autoComplete ?? "off"}
        inputMode={inputMode}
        aria-invalid={!!f.error}
        aria-describedby={`${f.id}-e`}
        {...f.register()}
      />
    </Frame>
  );
}

export function TextArea({ rows = 3, ...p }: FieldProps & { rows?: number }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <textarea
        id={f.id}
        rows={rows}
        className="input"
        aria-invalid={!!f.error}
        aria-describedby={`${f.id}-e`}
        {...f.register()}
      />
    </Frame>
  );
}

export function SelectField({
  options,
  empty,
  ...p
}: FieldProps & { options: readonly { value: string; label: string }[]; empty?: string }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <select id={f.id} className="input" aria-invalid={!!f.error} aria-describedby={`${f.id}-e`} {...f.register()}>
        {empty !== undefined && <option value="">{empty}</option>}
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </Frame>
  );
}

export function CheckField({ label, name, hint }: FieldProps) {
  const f = useField(name);
  return (
    <label className="flex items-start gap-2">
      <input type="checkbox" className="mt-1 accent-iron" {...f.register()} />
      <span>
        {label}
        {hint && <span className="block text-sm text-soft">{hint}</span>}
      </span>
    </label>
  );
}

/** Several choices as boxes in a row; the value is a list of the chosen ones. */
export function ChoiceField({
  options,
  numeric,
  ordered,
  ...p
}: FieldProps & {
  options: readonly { value: string; label: string }[];
  numeric?: boolean /** The order of choosing counts and is shown. */;
  ordered?: boolean;
}) {
  const f = useField(p.name);
  const chosen = ((f.form.watch(f.full) as (string | number)[] | undefined) ?? []).map(String);
  return (
    <fieldset className={cx("grid gap-1", p.className)} aria-describedby={`${f.id}-e`}>
      <legend className="mb-1 text-[12.5px] font-[600]">{p.label}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {options.map((o) => (
          <label key={o.value} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-iron"
              checked={chosen.includes(o.value)}
              onChange={(e) => {
                const next = e.target.checked ? [...chosen, o.value] : chosen.filter((c) => c !== o.value);
                f.form.setValue(
                  f.full,
                  numeric
                    ? next.map(Number)
                    : ordered
                      ? next
                      : options.map((x) => x.value).filter((v) => next.includes(v)),
                  { shouldDirty: true, shouldValidate: true },
                );
              }}
            />
            {ordered && chosen.includes(o.value) && `${chosen.indexOf(o.value) + 1}. `}
            {o.label}
          </label>
        ))}
      </div>
      <p id={`${f.id}-e`} className={cx("text-sm", f.error ? "text-iron" : "text-soft")}>
        {f.error ?? p.hint}
      </p>
    </fieldset>
  );
}

/** A value with its unit as one types it; what was understood is said at once beside it. */
export function QuantityField({ unit, placeholder, ...p }: FieldProps & { unit: string; placeholder?: string }) {
  const f = useField(p.name);
  const typed = String(f.form.watch(f.full) ?? "");
  const parsed = typed.trim() ? parseQuantity(typed, unit) : null;
  const converted =
    parsed?.ok && /[a-z°″′"']/i.test(typed) && unit !== "1" && !typed.trim().endsWith(unit)
      ? `= ${readBack(parsed.quantity.si, unit)}`
      : null;
  return (
    <Frame
      {...p}
      id={f.id}
      error={f.error ?? (parsed && !parsed.ok ? parsed.message : undefined)}
      hint={converted ?? p.hint}
    >
      <span className="relative block">
        <input
          id={f.id}
          className="input pr-12"
          inputMode="text"
          autoComplete="off"
          placeholder={placeholder}
          aria-invalid={!!f.error || (parsed !== null && !parsed.ok)}
          aria-describedby={`${f.id}-e`}
          {...f.register()}
        />
        {unit !== "1" && (
          <span
            aria-hidden
            className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-sm text-soft"
          >
            {unit}
          </span>
        )}
      </span>
    </Frame>
  );
}
const readBack = (si: string, unit: string) => `${formatSi(si, unit)} ${unit}`;
