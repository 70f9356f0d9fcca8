"use client";

import { AlertDialog } from "radix-ui";
import type { ReactNode } from "react";
import { buttonClass } from "./page";

/** Asks once more before something goes. The safe answer has the focus; Escape is a no. */
export function Confirm({
  open,
  onOpen,
  onYes,
  children,
  more,
  yes = "Yes, do it",
  ready = true,
}: {
  open: boolean;
  onOpen: (open: boolean) => void;
  onYes: () => void;
  children: ReactNode;
  /** What is filled in before. */
  more?: ReactNode;
  yes?: string;
  ready?: boolean;
}) {
  return (
    <AlertDialog.Root open={open} onOpenChange={onOpen}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <AlertDialog.Content
          className={
            "fixed top-[22vh] left-1/2 z-50 w-[min(420px,94vw)] -translate-x-1/2 rounded-md border border-line " +
            "border-l-4 border-l-iron bg-sheet px-4 py-3 text-ink shadow-lg"
          }
        >
          <AlertDialog.Title className="sr-only">Are you sure?</AlertDialog.Title>
          <AlertDialog.Description className="wrap-break-word">{children}</AlertDialog.Description>
          {more}
          <div className="mt-3 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel className={buttonClass("plain")}>No</AlertDialog.Cancel>
            <AlertDialog.Action className={buttonClass("danger")} onClick={onYes} disabled={!ready}>
              {yes}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
