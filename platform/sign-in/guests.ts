import type * as row from "../db/rows";
import "server-only";
import { verify } from "@node-rs/argon2";

import { db } from "@/platform/db/db";
import { digest } from "./secrets";

interface GuestRow {
  id: row.GuestLink["id"];
  projectId: row.GuestLink["projectId"];
  slug: row.Project["slug"];
  role: row.GuestLink["role"];
  label: row.GuestLink["label"];
  pinHash: row.GuestLink["pinHash"];
}

export const guestRow = async (secret: string): Promise<GuestRow | null> =>
  (
    await db()<GuestRow[]>`
      SELECT g.id, g.project_id, p.slug, g.role, g.label, g.pin_hash
      FROM guest_link g
      JOIN project p ON p.id = g.project_id
      WHERE g.secret_hash = ${digest(secret)} AND g.revoked_at IS NULL AND g.expires_at > now()
    `
  )[0] ?? null;

export type GuestKnock =
  | { state: "unknown" }
  | { state: "pin"; message: string | null }
  | { state: "open"; guest: Omit<GuestRow, "pinHash"> };

/** Opens a guest link, asking for its PIN where it has one; wrong PINs are counted and limited per link. */
export async function knock(secret: string, pin: string | null): Promise<GuestKnock> {
  const row = await guestRow(secret);
  if (!row) return { state: "unknown" };
  const { pinHash, ...guest } = row;
  if (!pinHash) return { state: "open", guest };
  if (pin === null) return { state: "pin", message: null };
  const key = `pin:${row.id}`;
  const [{ n } = { n: 0 }] = await db()<
    { n: number }[]
  >`SELECT count(*)::int AS n FROM sign_in_attempt WHERE key = ${key} AND at > now() - interval '15 minutes'`;
  if (n >= 10)
    return {
      state: "pin",
      message: "Too many attempts. Wait a quarter of an hour, or ask the instructor for a new link.",
    };
  if (await verify(pinHash, pin.trim())) return { state: "open", guest };
  await db()`INSERT INTO sign_in_attempt (key) VALUES (${key})`;
  return {
    state: "pin",
    message:
      "This is not the link's PIN. It has four digits and stands beside the link on the instructor's People page.",
  };
}

export async function guestCookie(secret: string): Promise<string> {
  const row = await guestRow(secret);
  return row?.pinHash ? `${secret}.${digest(`${secret}${row.pinHash}`)}` : secret;
}
