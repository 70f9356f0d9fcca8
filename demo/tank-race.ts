import { randomUUID } from "node:crypto";
import { confirmEvent, drawRunOrder } from "@/stages/contest/commands/events";
import { recordMatch } from "@/stages/contest/commands/match-results";
import { saveMatchEvent } from "@/stages/contest/commands/matches";
import { checkEvent } from "@/stages/contest/commands/safety";
import { matchEventsOf } from "@/stages/contest/queries/matches";
import { playedView, toPlay } from "@/stages/contest/view/lives";
import { at, run } from "./run";

const race = {
  name: "Tank race",
  format: "double",
  decides: "first",
  secondFinal: true,
  placePoints: "100, 85, 70, 60, 45, 45, 30, 30",
  cautions: "Spectators stand behind the line.\nBoth hoses are clamped.\nEverybody knows that anybody may call a stop.",
  officer: "Mara Okonedo",
} as const;

/** The tank race set up and its seeds drawn: two pumps side by side, the first to fill its tank wins. */
export async function setUpTankRace(owner: string, projectId: string, seed: string): Promise<string> {
  const { id } = await run(saveMatchEvent, owner, { projectId, ...race });
  await run(drawRunOrder, owner, { id, version: 1, seed });
  return id;
}

/** A tank race played to its end: the stronger pump wins more often than not, and one result was named wrongly. */
export async function playTankRace(
  owner: string,
  projectId: string,
  day: string,
  rnd: () => number,
  strength: (teamId: string) => number,
): Promise<void> {
  const id = await setUpTankRace(owner, projectId, "3318");
  const now = async () => (await matchEventsOf(projectId)).find((e) => e.id === id)!;
  const { entries } = await now();
  await at(day, 13, 5);
  await run(checkEvent, owner, { id, cautions: race.cautions.split("\n"), signed: race.officer });
  const teamOf = new Map(entries.map((n) => [n.id as string, n.teamId as string]));
  for (let minute = 0; ; minute += 4) {
    const [match] = toPlay(playedView(await now()));
    if (!match) break;
    const { slot, a, b } = match;
    const [x, y] = [strength(teamOf.get(a)!), strength(teamOf.get(b)!)];
    const winner = rnd() < x ** 6 / (x ** 6 + y ** 6) ? "a" : "b";
    await at(day, 13, 10 + minute);
    const result = { eventId: id, slot, a, b, outcome: "won", winner };
    if (minute === 8) {
      await run(recordMatch, owner, { ...result, id: randomUUID(), winner: winner === "a" ? "b" : "a" });
      await at(day, 13, 11 + minute);
      const why = "The lanes were named the wrong way round";
      await run(recordMatch, owner, { ...result, id: randomUUID(), corrects: true, reason: why });
    } else await run(recordMatch, owner, { ...result, id: randomUUID() });
  }
  await run(confirmEvent, owner, { id, version: (await now()).version });
}
