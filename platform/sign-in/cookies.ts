import "server-only";
import { cookies, headers } from "next/headers";
import { cache } from "react";
import type { Actor } from "@/core/access/can";
import { actorOf, guestActor } from "./actors";
import { guestCookie } from "./guests";
import { digest, newSecret } from "./secrets";
import { closeSession, openSession, personOfSession } from "./sessions";

const personCookie = "ironstone_session";

const guestCookieName = "ironstone_guest";

/** Cookies are secure wherever the page came over TLS; on plain loopback browsers would drop a secure cookie. */
async function options(maxAge: number) {
  const h = await headers();
  const secure = (h.get("x-forwarded-proto") ?? "http").split(",")[0] === "https";
  return { httpOnly: true, sameSite: "lax" as const, secure, path: "/", maxAge };
}

export const demoMode = (): boolean => process.env.IRONSTONE_DEMO === "1";

/** Who is signed in: once a request. */
export const currentPerson = cache(async (): Promise<Actor> => {
  const secret = (await cookies()).get(personCookie)?.value;
  const id = secret ? await personOfSession(secret) : null;
  return id ? actorOf(id) : { kind: "nobody" };
});

/** Which guest's link this browser opened last. */
export const currentGuest = cache(async (): Promise<Actor> => {
  const value = (await cookies()).get(guestCookieName)?.value;
  return value ? guestActor(value) : { kind: "nobody" };
});

export async function startSession(personId: string): Promise<void> {
  const { secret, maxAge } = await openSession(personId);
  (await cookies()).set(personCookie, secret, await options(maxAge));
}

/** The hash of this browser's session, by which it is told from others; empty when nobody is signed in. */
export async function currentSession(): Promise<string> {
  const secret = (await cookies()).get(personCookie)?.value;
  return secret ? digest(secret) : "";
}

export async function endSession(): Promise<void> {
  const jar = await cookies();
  const secret = jar.get(personCookie)?.value;
  if (secret) await closeSession(secret);
  jar.delete(personCookie);
}

/** The guest's cookie of this browser. */
export const guestCookieHere = async (): Promise<string> => (await cookies()).get(guestCookieName)?.value ?? "";

export async function rememberGuest(secret: string): Promise<void> {
  (await cookies()).set(guestCookieName, await guestCookie(secret), await options(30 * 86_400));
}

const deviceCookie = "ironstone_device";

/** What this browser is told by from others, where it has voted before; empty otherwise. */
export async function deviceHere(): Promise<string> {
  const secret = (await cookies()).get(deviceCookie)?.value;
  return secret ? digest(secret) : "";
}

/** What this browser is told by from others, from now on: the digest of a random number that says nothing else. */
export async function thisDevice(): Promise<string> {
  const jar = await cookies();
  const secret = jar.get(deviceCookie)?.value ?? newSecret();
  jar.set(deviceCookie, secret, await options(30 * 86_400));
  return digest(secret);
}

/**
 * Where a request came from, for slowing guesses down: the address of whoever is connected, which the server writes
 * there; behind a declared proxy the address that the proxy names.
 */
export async function clientAddress(): Promise<string> {
  const h = await headers();
  return h.get("x-forwarded-for")?.split(",")[0]?.trim() || "local";
}
