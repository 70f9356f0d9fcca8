import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

/** Where a person is signed in: since when and until when, by the token's hash. */
export const sessionsOf = (personId: string) => db()<
  { hash: row.SessionToken["hash"]; begunAt: row.SessionToken["begunAt"]; expiresAt: row.SessionToken["expiresAt"] }[]
>`
  SELECT hash, begun_at, expires_at
  FROM session_token
  WHERE person_id = ${personId} AND expires_at > now()
  ORDER BY begun_at DESC
`;
