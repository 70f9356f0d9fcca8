"use client";

import { useState } from "react";
import type { MatchRules } from "@/core/contest/matches";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import type { Playable } from "../view/lives";
import { useDay } from "./day-box";
import { OddEnd } from "./match-odd";
import { TimeKeys } from "./time-keys";

/** How one match ended: a press for who has won, or the score of each. What waits for the network is kept and sent. */
export function MatchEntry({
  eventId,
  match,
  rules,
  via,
  large = false,
}: {
  eventId: string;
  match: Playable;
  rules: Pick<MatchRules, "format" | "decides" | "games" | "measured">;
  via?: "guest";
  large?: boolean;
}) {
  const ready = useReady();
  const day = useDay();
  const [score, setScore] = useState<[string, string]>(["", ""]);
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  // What is on its way of this match, written here or before a reload.
  const waits = day.items.some(
    ({ item, sent, problem }) =>
      item.what === "match" && item.input.eventId === eventId && item.input.slot === match.slot && !sent && !problem,
  );
  const scored = rules.decides === "games" || rules.decides === "measured";
  const enter = (i: number, text: string) => {
    setScore(i === 0 ? [text, score[1]] : [score[0], text]);
    setNote(null);
  };
  const add = (winner: "a" | "b" | null) => {
    if (waits) return;
    if (scored && score.some((x) => !/^-?\d+([.,]\d+)?$/.test(x.trim())))
      return setNote({
        bad: true,
        text: `Write ${rules.decides === "games" ? "the games" : "the value"} of each as a number.`,
      });
    setNote(null);
    const [aScore, bScore] = score.map((x) => x.trim().replace(",", ".")) as [string, string];
    const { slot, a, b } = match;
    const outcome = winner || scored ? "won" : "drawn";
    const won = winner ? `${match.teams[winner === "a" ? 0 : 1]} has won` : scored ? `${aScore} to ${bScore}` : "drawn";
    day.add(
      {
        what: "match",
        input: { eventId, slot, a, b, outcome, winner, aScore, bScore },
        words: `${match.teams.join(" against ")}: ${won}`,
      },
      {
        saved: () => setNote({ bad: false, text: `${match.teams.join(" and ")}: saved.` }),
        refused: (text) => setNote({ bad: true, text }),
        waits: () => setNote({ bad: false, text: "No connection: this result waits and is sent by itself." }),
      },
    );
  };
  const size = large ? "min-h-13 px-5 text-[16px]" : "";
  const unit = rules.decides === "measured" ? rules.measured?.unit : "games";
  return (
    <section aria-label={`${match.title}: ${match.teams.join(" against ")}`} className="border-b border-line py-2.5">
      <p className="mb-1.5">
        <span className={large ? "text-[17px] font-[650]" : "font-[650]"}>{match.teams.join(" against ")}</span>{" "}
        <span className="text-sm text-soft">
          match {match.number}, {match.title}
        </span>
      </p>
      {match.waiting.length > 0 ? (
        <p className="text-sm text-ochre-deep">
          {match.waiting.join(" and ")} {match.waiting.length === 1 ? "has" : "have"} not passed inspection.
        </p>
      ) : scored ? (
        <form
          className="flex flex-wrap items-end gap-2.5"
          onSubmit={(e) => {
            e.preventDefault();
            add(null);
          }}
        >
          {match.teams.map((team, i) => (
            <div key={team}>
              <label className="grid gap-0.5 text-sm">
                <span>{team}</span>
                <span className="flex items-center gap-1">
                  <input
                    disabled={!ready}
                    inputMode="decimal"
                    autoComplete="off"
                    className={`input text-right ${large ? "min-h-13 w-32 text-[22px]" : "w-20"}`}
                    value={score[i]}
                    onChange={(e) => enter(i, e.target.value)}
                  />
                  <span className="text-soft">{unit}</span>
                </span>
              </label>
              {unit === "s" && <TimeKeys unit={unit} disabled={!ready} onPick={(text) => enter(i, text)} />}
            </div>
          ))}
          <button type="submit" disabled={!ready} className={`${buttonClass("main")} ${size}`}>
            Save
          </button>
        </form>
      ) : (
        <div className="flex flex-wrap gap-2.5">
          {(["a", "b"] as const).map((side, i) => (
            <button
              key={side}
              type="button"
              disabled={!ready}
              className={`${buttonClass("plain")} ${size}`}
              onClick={() => add(side)}
            >
              {match.teams[i]} has won
            </button>
          ))}
          {(rules.format === "robin" || rules.format === "records") && (
            <button
              type="button"
              disabled={!ready}
              className={`${buttonClass("plain")} ${size}`}
              onClick={() => add(null)}
            >
              Drawn
            </button>
          )}
        </div>
      )}
      {note && (
        <p role={note.bad ? "alert" : "status"} className={`mt-1 text-sm ${note.bad ? "text-iron" : "text-soft"}`}>
          {note.text}
        </p>
      )}
      <OddEnd eventId={eventId} match={match} via={via} />
    </section>
  );
}
