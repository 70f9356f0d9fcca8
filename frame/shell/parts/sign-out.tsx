"use client";

import { useRouter } from "next/navigation";
import { Menu } from "@/ui/menu";
import { signOutAction } from "../actions";

const round = "grid size-7 place-items-center rounded-full bg-slate text-[11px] font-[650] text-white";
/** The person's initials; opens to the name, the account and the way out. */
export function SignOut({ name }: { name: string }) {
  const router = useRouter();
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
      triggerClass={round}
      head={name}
      items={[
        { label: "Account", onSelect: () => router.push("/account") },
        { label: "Sign out", onSelect: () => void signOutAction() },
      ]}
    />
  );
}
