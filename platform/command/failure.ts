import "server-only";
import { randomBytes } from "node:crypto";
import { broken } from "./constraints";
import type { ConflictField, Result } from "./result";

/** An expected failure: shown to the person as it stands, beside the field when one is named. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly field?: string,
  ) {
    super(message);
  }
}

export class Missing extends Error {}

class Conflicted extends Error {
  constructor(
    readonly version: number,
    readonly fields: readonly ConflictField[],
  ) {
    super("conflict");
  }
}

export function refuse(message: string, field?: string): never {
  throw new Refused(message, field);
}

/** The row, or a typed “not found” to the person. */
export function found<T>(row: T | undefined | null, what = "This record"): T {
  if (row === undefined || row === null)
    throw new Missing(`${what} is not here (any more). Somebody may have removed it; reload to see what there is.`);
  return row;
}

const plain = (v: unknown): string =>
  v === null || v === undefined ? "" : Array.isArray(v) ? v.join(" × ") : String(v);

/** Compares the version that the form was opened with; a conflict carries both values of every field that differs. */
export function checkVersion(
  current: { version: number },
  given: number,
  labels: Record<string, string>,
  yours: Record<string, unknown>,
  theirs: Record<string, unknown>,
): void {
  if (current.version === given) return;
  const fields = Object.entries(labels)
    .map(([field, label]) => ({ field, label, yours: plain(yours[field]), theirs: plain(theirs[field]) }))
    .filter((f) => f.yours !== f.theirs);
  throw new Conflicted(current.version, fields);
}

/** The actor may not do it. */
export class NotAllowed extends Error {}

/** Said when nobody can tell whether a write was done. */
export const notKnown: Result<never> = {
  ok: false,
  kind: "unknown",
  message:
    "The connection to the database broke at the last moment, so it is not known whether this was saved. What you " +
    "typed is still here: send it again, it counts once.",
};

/** What no text of the database can hold, wherever it stands in what was sent. */
export function unfitText(value: unknown, depth = 0): string | null {
  if (typeof value === "string") {
    if (value.includes("\u0000"))
      return "A text holds a character that cannot be stored (NUL). Delete it and send again.";
    return /\p{Surrogate}/u.test(value) === false
      ? null
      : "A text holds half a character. Delete what is shown as � and send again.";
  }
  if (typeof value !== "object" || value === null) return null;
  if (depth > 40) return "This is nested too deeply.";
  for (const [k, v] of Object.entries(value)) {
    const unfit = unfitText(k, depth + 1) ?? unfitText(v, depth + 1);
    if (unfit) return unfit;
  }
  return null;
}

/** What went wrong, as the person is told. */
export function failure(error: unknown): Result<never> {
  if (error instanceof NotAllowed) return { ok: false, kind: "forbidden", message: error.message };
  if (error instanceof Refused)
    return error.field
      ? { ok: false, kind: "invalid", message: error.message, fields: { [error.field]: error.message } }
      : { ok: false, kind: "refused", message: error.message };
  if (error instanceof Missing) return { ok: false, kind: "missing", message: error.message };
  if (error instanceof Conflicted)
    return {
      ok: false,
      kind: "conflict",
      message: "Somebody else changed this while you were writing. Nothing that you typed is lost.",
      version: error.version,
      fields: error.fields,
    };
  const { code, constraint_name: constraint = "" } = error as { code?: string; constraint_name?: string };
  if ((code === "23505" || code === "23P01") && Object.hasOwn(broken, constraint))
    return { ok: false, kind: "refused", message: broken[constraint]! };
  if (code === "23505" && constraint.endsWith("_pkey"))
    return { ok: false, kind: "refused", message: "This is here already. Reload to see it." };
  if (code === "55P03" || code === "57014")
    return {
      ok: false,
      kind: "refused",
      message: "Somebody else is writing a great deal to this project right now. Nothing was changed; send it again.",
    };
  if (code === "40001" || code === "40P01")
    return { ok: false, kind: "refused", message: "Two people wrote at the same moment. Please send it again." };
  const id = randomBytes(4).toString("hex");
  console.error(`[${id}]`, error);
  return {
    ok: false,
    kind: "failed",
    message: `Something went wrong on our side (${id}). Nothing was changed; what you typed is still here.`,
  };
}
