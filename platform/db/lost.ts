// When a query got no answer: which errors mean that, and what they mean for what was sent.

/** The database gave no answer in time. */
export class NoAnswer extends Error {
  readonly code = "NO_ANSWER";
  constructor() {
    super("The database did not answer in time.");
  }
}

/** Everything of a transaction was done, but the answer to its COMMIT is missing: it may stand or not. */
export class UnknownOutcome extends Error {
  constructor(cause: unknown) {
    super("The connection was lost while the transaction was being committed.", { cause });
  }
}

const codes = new Set([
  "NO_ANSWER",
  "CONNECTION_CLOSED",
  "CONNECTION_DESTROYED",
  "CONNECTION_ENDED",
  "CONNECT_TIMEOUT",
  "ECONNREFUSED",
  "ECONNRESET",
  "ECONNABORTED",
  "EPIPE",
  "ENOENT",
  "ETIMEDOUT",
  "EHOSTUNREACH",
  "ENETUNREACH",
]);

/** Whether an error says that the connection is gone (or never was), and not that the query was wrong. */
export function isLost(error: unknown): boolean {
  const e = error as { code?: string; severity?: string } | null;
  return !!e && (codes.has(e.code ?? "") || e.severity === "FATAL" || e.severity === "PANIC");
}

/** Whether a query may be sent twice: it reads and takes no lock. */
export const isRead = (text: string): boolean =>
  /^\s*(SELECT|WITH)\b/i.test(text) && !/\b(INSERT|UPDATE|DELETE|pg_notify|pg_advisory\w*|nextval)\b/i.test(text);
