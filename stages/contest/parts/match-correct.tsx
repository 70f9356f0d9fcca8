"use client";

import { useFormContext } from "react-hook-form";
import { isElimination, type MatchRules, slotsOf } from "@/core/contest/matches";
import { correct } from "@/core/contest/meeting";
import { play, type Result } from "@/core/contest/play";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { recordMatchAction } from "../actions";
import { matchResult } from "../schema";
import type { Playable } from "../view/lives";
import { matchWords } from "../view/words";

const { TextField, SelectField } = fieldsOf(matchResult);

/** What a correction of this match makes void, for whoever it makes win. */
const voidsOf = (of: Of, winner: "a" | "b"): string[] => {
  if (!isElimination(of.rules.format)) return [];
  const result: Result = {
    slot: of.match.slot,
    a: of.match.a,
    b: of.match.b,
    outcome: "won",
    winner: of.match[winner],
  };
  const slots = slotsOf(of.rules, of.entries.length, of.drawn);
  return correct(slots, of.entries, of.results, result).void as string[];
};

interface Of {
  readonly match: Playable;
  readonly rules: MatchRules;
  /** Ids by seed. */
  readonly entries: readonly string[];
  readonly results: readonly Result[];
  readonly drawn: Parameters<typeof slotsOf>[2];
  /** Teams by entry. */
  readonly names: Readonly<Record<string, string>>;
}

/** A recorded match corrected: who has won after all, and what was played after it that does not count any more. */
export default function CorrectMatch({
  eventId,
  onDone,
  via,
  ...of
}: Of & { eventId: string; onDone: () => void; via?: "guest" }) {
  const { match, rules } = of;
  const scored = rules.decides === "games" || rules.decides === "measured";
  return (
    <ActionForm
      schema={matchResult}
      action={recordMatchAction}
      via={via}
      fixed={{ eventId, slot: match.slot, a: match.a, b: match.b, corrects: true }}
      defaults={{ winner: "a", aScore: "", bScore: "", reason: "" }}
      shape={(v) => {
        // A table takes a draw, and no other match of it hangs on this one.
        if (v.winner === "drawn") return { ...v, id: crypto.randomUUID(), outcome: "drawn", winner: null };
        const winner = winnerIn(rules, v);
        return { ...v, id: crypto.randomUUID(), outcome: "won", winner, voids: voidsOf(of, winner) };
      }}
      submit="Correct it"
      look="plain"
      onDone={onDone}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={onDone}>
          Leave
        </button>
      }
      className="my-1 grid max-w-[640px] gap-2"
    >
      <div className="flex flex-wrap items-end gap-2.5">
        {scored ? (
          <>
            <TextField name="aScore" label={match.teams[0]} inputMode="decimal" className="w-24" />
            <TextField name="bScore" label={match.teams[1]} inputMode="decimal" className="w-24" />
          </>
        ) : (
          <SelectField
            name="winner"
            label="Has won"
            options={[
              ...match.teams.map((team, i) => ({ value: i === 0 ? "a" : "b", label: team })),
              ...(isElimination(rules.format) ? [] : [{ value: "drawn", label: "nobody: drawn" }]),
            ]}
            className="w-44"
          />
        )}
        <TextField name="reason" label="Why it is corrected" className="w-64" />
      </div>
      <Voids of={of} />
    </ActionForm>
  );
}

/** What is not counted any more, said while it is chosen. */
function Voids({ of }: { of: Of }) {
  const { watch } = useFormContext();
  const slots = slotsOf(of.rules, of.entries.length, of.drawn);
  const before = play(slots, of.entries, of.results);
  const said = voidsOf(of, winnerIn(of.rules, watch())).map((key) =>
    matchWords(before.find((m) => m.slot.key === key)!, (id) => of.names[id] ?? ""),
  );
  return (
    <p className="text-sm text-ochre-deep">
      {said.length
        ? `Not counted any more, and kept on record: ${said.join("; ")}.`
        : "Nothing that was played after it is touched."}
    </p>
  );
}

/** Who has won by what is chosen or typed so far. */
function winnerIn(rules: MatchRules, v: Record<string, unknown>): "a" | "b" {
  if (rules.decides !== "games" && rules.decides !== "measured") return v.winner as "a" | "b";
  const more = Number(v.aScore) > Number(v.bScore);
  return more === (rules.decides === "games" || rules.measured?.better === "more") ? "a" : "b";
}
