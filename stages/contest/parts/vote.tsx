"use client";

import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { cx } from "@/ui/classes";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";

/** One vote of this phone: choose a team, press. */
export function Vote({
  code,
  teams,
  voted,
}: {
  code: string;
  teams: readonly { readonly id: string; readonly name: string }[];
  /** For whom this phone has voted already. */
  voted: string | null;
}) {
  const ready = useReady();
  const [team, setTeam] = useState(voted ?? "");
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState<{ bad: boolean; text: string } | null>(
    voted ? { bad: false, text: "Your vote is counted. You may change it." } : null,
  );
  const send = async () => {
    if (!team) return setSays({ bad: true, text: "Choose a team first." });
    setBusy(true);
    try {
      const answer = await fetch("/api/vote", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ code, team }),
      });
      const r = (await answer.json()) as { ok: boolean; message?: string; team?: string };
      setSays(
        r.ok ? { bad: false, text: `Your vote for ${r.team} is counted.` } : { bad: true, text: r.message ?? "" },
      );
    } catch {
      setSays({ bad: true, text: "No connection: your vote is not counted yet. Press again in a moment." });
    }
    setBusy(false);
  };
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
    >
      <RadioGroup.Root
        aria-label="Your favourite"
        value={team}
        disabled={!ready}
        onValueChange={setTeam}
        className="grid"
      >
        {teams.map((t) => (
          <RadioGroup.Item
            key={t.id}
            value={t.id}
            className={cx(
              "min-h-13 border border-[#a59a8a] px-4 text-left text-[18px] not-first:-mt-px first:rounded-t-sm",
              "last:rounded-b-sm data-[state=checked]:z-1 data-[state=checked]:border-ink",
              "data-[state=checked]:bg-ink data-[state=checked]:font-[600] data-[state=checked]:text-sheet",
            )}
          >
            {t.name}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <button type="submit" disabled={!ready || busy} className={`${buttonClass("main")} min-h-13 text-[18px]`}>
        {busy ? "Sending…" : "Vote"}
      </button>
      {says && (
        <p role={says.bad ? "alert" : "status"} className={says.bad ? "text-iron" : "text-moss"}>
          {says.text}
        </p>
      )}
    </form>
  );
}
