import type * as row from "../db/rows";
import "server-only";
import { verify } from "@node-rs/argon2";

import { db } from "@/platform/db/db";
import { knockAt, pin, waitWords, wasRight } from "./guess";
import { digest, newSecret } from "./secrets";

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
  | { state: "open"; guest: Omit<GuestRow, "pinHash"> /** This device is known already. */; known: boolean };

/**
 * Opens a guest link, asking for its PIN where it has one; wrong PINs are counted and slowed down per link. A device
 * that has shown the PIN once is known by its cookie and is not asked again.
 */
export async function knock(secret: string, given: string | null, cookie = ""): Promise<GuestKnock> {
  const row = await guestRow(secret);
  if (!row) return { state: "unknown" };
  const { pinHash, ...guest } = row;
  const known = cookie === secret || (cookie.startsWith(`${secret}.`) && (await isKnown(row.id, cookie)));
  if (!pinHash || known) return { state: "open", guest, known };
  if (given === null) return { state: "pin", message: null };
  const door = pin(row.id);
  const wait = await knockAt(door);
  if (wait) return { state: "pin", message: waitWords(wait) };
  if (given.length <= 40 && (await verify(pinHash, given.trim()))) {
    await wasRight(door);
    return { state: "open", guest, known: false };
  }
  return {
    state: "pin",
    message: "This is not the link's PIN. It stands beside the link that the instructor gave you.",
  };
}

const isKnown = async (link: string, cookie: string) =>
  (await db()`SELECT FROM known_device WHERE hash = ${digest(cookie)} AND link_id = ${link}`).length > 0;

/** The cookie of a device that may come in: of a link with a PIN, with a mark of its own that is remembered. */
export async function guestCookie(secret: string): Promise<string> {
  const row = await guestRow(secret);
  if (!row?.pinHash) return secret;
  const cookie = `${secret}.${newSecret()}`;
  await db()`INSERT INTO known_device (hash, link_id) VALUES (${digest(cookie)}, ${row.id})`;
  return cookie;
}

/** Who comes with a guest's cookie. */
export async function guestOf(cookie: string): Promise<Omit<GuestRow, "pinHash" | "slug"> | null> {
  const [secret = ""] = cookie.split(".");
  const row = await guestRow(secret);
  return row && (!row.pinHash || (await isKnown(row.id, cookie))) ? row : null;
}
