"use client";

import { DropdownMenu } from "radix-ui";
import { signOutAction } from "./actions";

/** The person's initials; opens to the name and the way out. */
export function SignOut({ name }: { name: string }) {
  const initials = name.split(/\s+/).map((w) => w[0]).join("").slice(0, 2).toUpperCase();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label={`${initials}: signed in as ${name}`} className="grid size-7 place-items-center rounded-full bg-slate text-[11px] font-[650] text-white">{initials}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={6} className="z-50 min-w-44 rounded-md border border-line bg-sheet p-1.5 shadow-lg">
          <p className="px-2 py-1 text-sm text-soft">{name}</p>
          <DropdownMenu.Item className="cursor-pointer rounded-sm px-2 py-1 outline-none data-highlighted:bg-spine" onSelect={() => { void signOutAction(); }}>Sign out</DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
