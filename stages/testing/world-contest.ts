// What the world of a test has of a contest: matches, a board, judging, a vote.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { saveBoard } from "@/stages/contest/commands/boards";
import { markSheet, saveJudgedEvent } from "@/stages/contest/commands/judged";
import { recordMatch } from "@/stages/contest/commands/match-results";
import { saveMatchEvent, seedByHand } from "@/stages/contest/commands/matches";
import { openVote } from "@/stages/contest/commands/vote";
import { ballotOf } from "@/stages/contest/queries/awards";
import { judgedEventsOf } from "@/stages/contest/queries/judged";
import { matchEventsOf } from "@/stages/contest/queries/matches";
import { ok } from "./database";

/** An event of matches between the teams that there are, seeded by name; its first match was a walkover. */
export async function aRace(boss: Actor, projectId: string) {
  const { id: race } = await ok(saveMatchEvent, boss, { projectId, name: "Race", format: "double", decides: "first" });
  const racers = (await matchEventsOf(projectId))[0]!.entries.map((n) => n.id as string);
  await ok(seedByHand, boss, { id: race, version: 1, entries: racers });
  const match = randomUUID();
  const [one, other] = racers as [string, string];
  const walkover = { outcome: "walkover", winner: "a", reason: "Late bus" };
  await ok(recordMatch, boss, { id: match, eventId: race, slot: "M1-1", a: one, b: other, ...walkover });
  const { id: board } = await ok(saveBoard, boss, { projectId, name: "Hall" });
  return { race, racers, match, board };
}

/** A judged event with one sheet, of its maker, and an open vote of the crowd. */
export async function aJudging(boss: Actor, projectId: string) {
  const { id: judged } = await ok(saveJudgedEvent, boss, {
    projectId,
    name: "Design",
    criteria: [{ key: "use", name: "Use", weight: "1" }],
    most: 5,
    method: "mean",
    tie: "shared",
    full: "40",
  });
  const [event] = await judgedEventsOf(projectId);
  const shown = event!.entries.map((n) => n.id as string);
  const sheet = randomUUID();
  await ok(markSheet, boss, { id: sheet, entryId: shown[0]!, after: 0, marks: { use: "3" } });
  const { code } = await ok(openVote, boss, { projectId });
  const { id: ballot } = (await ballotOf(projectId))!;
  return { judged, shown, sheet, code, ballot };
}
