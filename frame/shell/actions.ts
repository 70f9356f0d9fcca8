"use server";
import { redirect } from "next/navigation";
import { endSession } from "@/platform/sign-in/cookies";

export async function signOutAction(): Promise<void> {
  await endSession();
  redirect("/sign-in");
}
