import type { ReactNode } from "react";
import Link from "@/ui/link";
import { Mark } from "@/ui/mark";
import { SignOut } from "./sign-out";

/** The frame of pages outside a project. */
export function PlainShell({
  name,
  children,
  admin,
  head,
}: {
  name: string;
  children: ReactNode;
  admin?: boolean;
  head?: boolean;
}) {
  return (
    <div className="min-h-dvh">
      <div
        className={
          "no-print flex min-h-[46px] flex-wrap items-center justify-between gap-4 border-b border-line " +
          "bg-spine px-5 py-1.5"
        }
      >
        <Link href="/" className="flex items-center gap-2.5 text-[15px] font-[650] [font-stretch:112%]">
          <Mark />
          Ironstone
        </Link>
        <nav className="flex items-center gap-4 text-soft">
          {head && (
            <Link href="/school/department" className="hover:text-ink">
              Department
            </Link>
          )}
          {admin && (
            <Link href="/school" className="hover:text-ink">
              School
            </Link>
          )}
          <SignOut name={name} />
        </nav>
      </div>
      <main className="mx-auto max-w-[1100px] px-5 py-6">{children}</main>
    </div>
  );
}
