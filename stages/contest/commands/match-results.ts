import type * as row from "@/platform/db/rows";
import "server-only";
import { decide, isElimination } from "@/core/contest/matches";
import { type Correction, correct } from "@/core/contest/meeting";
import type { Match, Result } from "@/core/contest/play";
import { command, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { contestActs } from "../acts";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";
import { seeded } from "../view/seeds";
import { matchWords, slotWords } from "../view/words";
import { type Locked, matchesOf, openMatches } from "./open-matches";
import { refuseUnsafe } from "./safety";

/** What stands between a match and its record, in words. */
function refuseMatch(e: Locked, match: Match | undefined, input: { a: string; b: string; outcome: string }): void {
  const two = [match?.a, match?.b];
  if (!match || !two.includes(input.a) || !two.includes(input.b) || input.a === input.b)
    refuse("These two do not meet in this match (any more). Look at the bracket again.", "slot");
  if (input.outcome !== "won" && input.outcome !== "drawn") return;
  for (const id of [input.a, input.b]) {
    const n = e.entries.find((x) => x.id === id)!;
    if (n.inspection !== "passed")
      refuse(
        n.inspection === "waiting"
          ? `${n.team} has not passed inspection yet.`
          : `${n.team} was turned away at inspection: the other wins by walkover.`,
      );
  }
}

/** What a correction makes void has to be what whoever sends it has seen. */
function refuseVoids(correction: Correction, before: readonly Match[], seen: readonly string[], e: Locked): void {
  const gone = before.filter((m) => correction.void.includes(m.slot.key));
  if (gone.length === seen.length && gone.every((m) => seen.includes(m.slot.key))) return;
  const name = (id: string) => e.entries.find((n) => n.id === id)!.team;
  refuse(
    gone.length
      ? `It makes void: ${gone.map((m) => matchWords(m, name)).join("; ")}. Say that you have seen this.`
      : "It makes nothing void any more: somebody has recorded something meanwhile. Look again.",
    "voids",
  );
}

/**
 * Records how a match ended. What is recorded of it already is replaced only by a correction, which names the results
 * that it makes void; nothing that was recorded is lost.
 */
export const recordMatch = command({
  name: "recordMatch",
  together: true,
  act: contestActs.score,
  schema: s.matchResult,
  subject: (sql, i) => ofEvent(sql, i.eventId),
  async run({ sql, audit, by }, input): Promise<{ slot: string }> {
    const e = await openMatches(sql, input.eventId);
    if (e.results.some((r) => r.id === input.id)) {
      audit({ type: "match", id: input.id, label: "sent again" });
      return { slot: input.slot };
    }
    if ((await sql`SELECT FROM match_result WHERE id = ${input.id}`).length)
      refuse("This result was already recorded for another event.");
    await refuseUnsafe(sql, e.id);
    const matches = matchesOf(e);
    const match = matches.find((m) => m.slot.key === input.slot);
    refuseMatch(e, match, input);
    const score = input.aScore && input.bScore ? ([input.aScore, input.bScore] as [string, string]) : null;
    const winner = winnerOf(e, input, score);
    const outcome = input.outcome === "won" && winner === null ? "drawn" : input.outcome!;
    if (outcome === "drawn" && isElimination(e.rules.format))
      refuse("In an elimination somebody goes on: play again, or let the judges call it.", "outcome");
    const result: Result = { slot: input.slot, a: input.a, b: input.b, outcome, winner, score };
    const old = match!.result;
    if (old && !input.corrects) {
      const who = e.entries.find((n) => n.id === old.winner)?.team ?? "nobody";
      refuse(`It is recorded already: ${who} has won. If that is wrong, correct it, with the reason.`);
    }
    if (old && !input.reason) refuse("Say why it is corrected.", "reason");
    if (old) {
      const ids = seeded(e.entries).map((n) => n.id as string);
      refuseVoids(
        correct(
          matches.map((m) => m.slot),
          ids,
          e.results,
          result,
        ),
        matches,
        input.voids as string[],
        e,
      );
    }
    await sql`
      INSERT INTO match_result ${sql({
        id: input.id,
        eventId: e.id,
        number: 1 + (await lastNumber(sql, e.id)),
        slot: input.slot,
        aId: input.a,
        bId: input.b,
        outcome,
        winnerId: winner,
        aScore: score?.[0] ?? null,
        bScore: score?.[1] ?? null,
        reason: input.reason,
        recordedBy: by,
      })}
    `;
    if (e.state === "set up") await sql`UPDATE event SET state = 'running', version = version + 1 WHERE id = ${e.id}`;
    audit({
      type: "match",
      id: input.id,
      label: `${e.name}, ${slotWords(match!.slot)}`,
      before: old,
      after: result,
      reason: input.reason,
    });
    return { slot: input.slot };
  },
});

const lastNumber = async (sql: Tx, eventId: string): Promise<number> => {
  const [last] = await sql<{ n: row.MatchResult["number"] }[]>`
    SELECT coalesce(max(number), 0)::int AS n FROM match_result WHERE event_id = ${eventId}
  `;
  return last!.n;
};

/** Who has won by what was sent: by the rule of the match where it was played, else by who was there. */
function winnerOf(
  e: Locked,
  input: { outcome: string | undefined; winner: string | null | undefined; a: string; b: string },
  score: [string, string] | null,
): string | null {
  const side = (w: "a" | "b" | null) => (w === null ? null : input[w]);
  const named = input.winner === "a" || input.winner === "b" ? input.winner : null;
  if (input.outcome === "neither" || input.outcome === "drawn") return null;
  if (input.outcome === "won") {
    const says = decide(e.rules, { score, winner: named });
    if (!says.ok) refuse(says.message, score === null ? "winner" : "aScore");
    return side(says.winner);
  }
  if (!named) refuse("Say who was there.", "winner");
  return side(named);
}
