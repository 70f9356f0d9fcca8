"use server";
import { redirect } from "next/navigation";
import { guestSurface } from "@/core/access/guests";
import { type Envelope, perform } from "@/platform/command/perform";
import type { Result } from "@/platform/command/result";
import {
  clientAddress,
  currentSession,
  demoMode,
  guestCookieHere,
  rememberGuest,
  startSession,
} from "@/platform/sign-in/cookies";
import { knock } from "@/platform/sign-in/guests";
import { demoPersona } from "@/platform/sign-in/personas";
import { createFirstInstructor, schoolIsEmpty, signIn } from "@/platform/sign-in/sign-in";
import { changePassword, endSessions } from "@/stages/people/commands/logins";

/** Changes one's own password; this device stays signed in. */
export async function changePasswordAction(input: unknown, envelope?: Envelope): Promise<Result<void>> {
  return perform(changePassword, { ...(input as object), keep: await currentSession() }, envelope);
}

/** Signs out one other device, or all others. */
export async function endSessionsAction(input: unknown, envelope?: Envelope): Promise<Result<void>> {
  return perform(endSessions, { ...(input as object), keep: await currentSession() }, envelope);
}

const say = (message: string): Result<never> => ({ ok: false, kind: "refused", message });

export async function signInAction(input: unknown): Promise<Result<{ to: string }>> {
  const { email = "", password = "" } = (input ?? {}) as { email?: string; password?: string };
  const answer = await signIn(String(email), String(password), await clientAddress());
  if (!answer.ok) return say(answer.message);
  await startSession(answer.personId);
  return { ok: true, value: { to: "" } };
}

export async function welcomeAction(input: unknown): Promise<Result<{ to: string }>> {
  if (!(await schoolIsEmpty())) return say("This school has its first instructor already. Sign in instead.");
  try {
    const answer = await createFirstInstructor(input);
    if (!answer.ok) return say(answer.message);
    await startSession(answer.personId);
    return { ok: true, value: { to: "" } };
  } catch (error) {
    return say((error as Error).message);
  }
}

/** One click in demo mode only. */
export async function personaAction(personId: string): Promise<void> {
  if (!demoMode() || !(await demoPersona(personId))) return;
  await startSession(personId);
  redirect("/");
}

export async function guestPinAction(secret: string, _before: string | null, form: FormData): Promise<string | null> {
  const answer = await knock(secret, String(form.get("pin") ?? ""), await guestCookieHere());
  if (answer.state === "unknown") return "This link has expired or was taken back. Ask the instructor for a new one.";
  if (answer.state === "pin") return answer.message;
  if (!answer.known) await rememberGuest(secret);
  redirect(guestSurface[answer.guest.role] === "board" ? `/board/${secret}` : "/guest");
}
