"use client";

import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import { buttonClass } from "../page";
import { toast } from "../toast";
import type { Send } from "./result";
import { useSend } from "./send";

const load = () => import("../confirm");
const Confirm = dynamic(() => load().then((m) => m.Confirm), { ssr: false });

/** What withdrawing gives: under which it can be brought back, and what it was. */
export interface WentOut {
  readonly withdrawn: string;
  readonly label: string;
}

/**
 * Takes a record out; the notice afterwards can bring it back. Where something large goes it is said what goes along,
 * and a reason is asked for, which the record keeps.
 */
export function WithdrawButton({
  action,
  id,
  says,
  children = "withdraw",
  look = "quiet",
  goTo,
  name,
}: {
  action: Send<WentOut>;
  /** Which one; or what else the action takes. */
  id: string | Readonly<Record<string, unknown>>;
  /** What goes along, in a sentence: then a reason is asked for. */
  says?: string;
  children?: ReactNode;
  look?: "plain" | "quiet";
  /** Where the reader is taken when its page is gone. */
  goTo?: string;
  /** What it is, for who cannot see where the button stands. */
  name?: string;
}) {
  const router = useRouter();
  const { send, busy, note } = useSend(action);
  const [asked, setAsked] = useState(false);
  const [reason, setReason] = useState("");
  useEffect(() => {
    if (says) void load();
  }, [says]);
  async function act() {
    const result = await send(typeof id === "string" ? { id, reason } : id, { stay: goTo !== undefined });
    if (!result?.ok) return;
    toast(`${result.value.label}: taken out.`, result.value.withdrawn);
    if (goTo) router.push(goTo);
  }
  return (
    <span className="inline-flex flex-wrap items-center gap-2">
      <button
        type="button"
        onClick={() => (says ? setAsked(true) : void act())}
        disabled={busy}
        className={buttonClass(look)}
        aria-label={name ? `Take out ${name}` : undefined}
      >
        {children}
      </button>
      {says && (
        <Confirm
          open={asked}
          onOpen={setAsked}
          onYes={() => void act()}
          yes="Withdraw it"
          ready={reason.trim() !== ""}
          more={
            <label className="mt-3 block">
              <span className="text-sm text-soft">Why? The record keeps this.</span>
              <input
                value={reason}
                onChange={(e) => setReason(e.target.value)}
                maxLength={300}
                className="input mt-0.5 w-full"
              />
            </label>
          }
        >
          {says} It can be brought back under Records.
        </Confirm>
      )}
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
