// What a write answers: shared by the server that gives it and the form that shows it.

export interface ConflictField {
  readonly field: string;
  readonly label: string;
  readonly yours: string;
  readonly theirs: string;
}

export type Failure =
  | { ok: false; kind: "invalid"; message: string; fields: Readonly<Record<string, string>> }
  | { ok: false; kind: "forbidden" | "missing" | "refused" | "failed" | "unknown"; message: string }
  | { ok: false; kind: "conflict"; message: string; version: number; fields: readonly ConflictField[] };

export type Result<T> = { ok: true; value: T } | Failure;
