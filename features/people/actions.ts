"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as people from "@/data/people";

export async function previewRosterAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.previewRoster.run>>>> {
  return perform(people.previewRoster, input, envelope);
}
export async function importRosterAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.importRoster.run>>>> {
  return perform(people.importRoster, input, envelope);
}
export async function giveLoginAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.giveLogin.run>>>> {
  return perform(people.giveLogin, input, envelope);
}
export async function endEnrolmentAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.endEnrolment.run>>>> {
  return perform(people.endEnrolment, input, envelope);
}
export async function eraseStudentAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.eraseStudent.run>>>> {
  return perform(people.eraseStudent, input, envelope);
}
export async function addCoInstructorAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.addCoInstructor.run>>>> {
  return perform(people.addCoInstructor, input, envelope);
}
export async function createGuestLinkAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.createGuestLink.run>>>> {
  return perform(people.createGuestLink, input, envelope);
}
export async function revokeGuestLinkAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof people.revokeGuestLink.run>>>> {
  return perform(people.revokeGuestLink, input, envelope);
}
