"use client";

import { useActionState } from "react";
import { buttonClass } from "@/ui/page";
import { guestPinAction } from "../actions";

/** Opening takes a press: a link that a mail program fetches in advance must not sign anybody in. */
export function GuestDoor({ secret }: { secret: string }) {
  const [message, act, busy] = useActionState(guestPinAction.bind(null, secret), null);
  return (
    <form action={act}>
      <button type="submit" disabled={busy} className={buttonClass("main")}>
        Open
      </button>
      <p role="status" className="mt-2 text-sm text-iron">
        {message}
      </p>
    </form>
  );
}
