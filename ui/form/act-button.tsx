"use client";

import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import { buttonClass } from "../page";
import { goTo as addressOf } from "./go-to";
import type { Send } from "./result";
import { useSend } from "./send";

const load = () => import("../confirm");
const Confirm = dynamic(() => load().then((m) => m.Confirm), { ssr: false });

/** A button that is a whole form: one act, its answer shown in place. Asks once more where something goes. */
export function ActButton<T>({
  action,
  input,
  children,
  look = "plain",
  confirm,
  onDone,
  goTo,
  via,
}: {
  action: Send<T>;
  input: unknown;
  children: ReactNode;
  look?: "plain" | "main" | "quiet" | "danger";
  confirm?: string;
  onDone?: (value: T) => void;
  goTo?: string;
  via?: "guest";
}) {
  const router = useRouter();
  const { send, busy, note } = useSend(action);
  const [asked, setAsked] = useState(false);
  // Fetched once the page stands, so that the question is there at once.
  useEffect(() => {
    if (confirm) void load();
  }, [confirm]);
  async function act() {
    const result = await send(input, { via });
    if (!result?.ok) return;
    onDone?.(result.value);
    if (goTo) router.push(addressOf(goTo, result.value));
  }
  return (
    <span className="inline-flex flex-wrap items-center gap-2">
      <button
        type="button"
        onClick={() => (confirm ? setAsked(true) : void act())}
        disabled={busy}
        className={buttonClass(look)}
      >
        {children}
      </button>
      {confirm && (
        <Confirm open={asked} onOpen={setAsked} onYes={() => void act()}>
          {confirm}
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
