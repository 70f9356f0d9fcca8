"use client";

import { useActionState } from "react";
import { buttonClass } from "@/ui/page";
import { guestPinAction } from "../actions";

export function PinForm({ secret }: { secret: string }) {
  const [message, act, busy] = useActionState(guestPinAction.bind(null, secret), null);
  return (
    <form action={act} className="grid gap-3">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">PIN</span>
        <input
          name="pin"
          inputMode="numeric"
          autoComplete="off"
          className="input text-[20px] tracking-[0.3em]"
          maxLength={12}
          required
          aria-describedby="pin-note"
        />
      </label>
      <p id="pin-note" role="status" className="text-sm text-iron">
        {message}
      </p>
      <button type="submit" disabled={busy} className={buttonClass("main")}>
        Open
      </button>
    </form>
  );
}
