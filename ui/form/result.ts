"use client";

export const lost =
  "The network did not answer, or this page is out of date. What you typed is still here: send it " +
  "again, or copy it and reload.";

export type Send<T> = (input: unknown, envelope: { requestId: string; via?: "guest" }) => Promise<ActionResult<T>>;

export type ActionResult<T = unknown> =
  | { ok: true; value: T }
  | {
      ok: false;
      kind: string;
      message: string;
      fields?: Readonly<Record<string, string>> | readonly ConflictShown[];
      version?: number;
    };

export interface ConflictShown {
  field: string;
  label: string;
  yours: string;
  theirs: string;
}
