"use server";
import { redirect } from "next/navigation";
import { guestSurface } from "@/core/access/guests";
import type { Result } from "@/platform/command/result";
import { clientAddress, demoMode, rememberGuest, startSession } from "@/platform/sign-in/cookies";
import { knock } from "@/platform/sign-in/guests";
import { demoPersona } from "@/platform/sign-in/personas";
import { createFirstInstructor, schoolIsEmpty, signIn } from "@/platform/sign-in/sign-in";

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
  const answer = await knock(secret, String(form.get("pin") ?? ""));
  if (answer.state === "unknown") return "This link has expired or was taken back. Ask the instructor for a new one.";
  if (answer.state === "pin") return answer.message;
  await rememberGuest(secret);
  redirect(guestSurface[answer.guest.role] === "board" ? `/board/${secret}` : "/guest");
}
