"use client";

import { Menu } from "@/ui/menu";
import { signOutAction } from "../actions";

/** The person's initials; opens to the name and the way out. */
export function SignOut({ name }: { name: string }) {
  const initials = name
    .split(/\s+/)
    .map((w) => w[0])
    .join("")
    .slice(0, 2)
    .toUpperCase();
  return (
    <Menu
      label={`${initials}: signed in as ${name}`}
      trigger={initials}
      triggerClass="grid size-7 place-items-center rounded-full bg-slate text-[11px] font-[650] text-white"
      head={name}
      items={[{ label: "Sign out", onSelect: () => void signOutAction() }]}
    />
  );
}
