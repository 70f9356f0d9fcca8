import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { simulatedMark, simulatedReading } from "@/core/contest/rehearsal";
import { seededRandom } from "@/core/draw/draw";
import { fromSi } from "@/core/quantity/quantity";
import "server-only";
import { type Command, execute, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { eventsOf } from "../queries/events";
import { enteredOf, linesOf } from "../queries/inspections";
import { judgedEventsOf, judgesOf } from "../queries/judged";
import { matchEventsOf } from "../queries/matches";
import { usualReadings } from "../queries/rehearsal";
import { asRecorded } from "../view/inspection";
import { playedView, toPlay } from "../view/lives";
import { scoreAttempt } from "./attempts";
import { drawRunOrder } from "./events";
import { inspectBuild } from "./inspections";
import { markSheet } from "./judged";
import { recordMatch } from "./match-results";
import { drawRound } from "./matches";

type Does = <I, O>(cmd: Command<I, O>, input: unknown, as?: Actor) => Promise<O>;

/** Fills an event's next round in, or all of it, by the commands that people call; gives how many results it made. */
export async function simulateEvent(sql: Tx, actor: Actor, id: string, seed: string, all: boolean): Promise<number> {
  const does: Does = async (cmd, input, as = actor) => {
    const r = await execute(cmd, as, input);
    if (!r.ok) refuse(r.message);
    return r.value;
  };
  const random = seededRandom(seed);
  const [{ projectId } = { projectId: "" }] = await sql<{ projectId: string }[]>`
    SELECT project_id FROM event WHERE id = ${id}
  `;
  await inspectWaiting(projectId, id, sql, does);
  const of = { sql, projectId, id, seed, all, random, does };
  return (await attempts(of)) + (await sheets(of, actor)) + (await matches(of));
}

interface Of {
  readonly sql: Tx;
  readonly projectId: string;
  readonly id: string;
  readonly seed: string;
  readonly all: boolean;
  readonly random: () => number;
  readonly does: Does;
}

/** Whoever waits for the inspection of this event passes it, as the team recorded the build. */
async function inspectWaiting(projectId: string, eventId: string, sql: Tx, does: Does): Promise<void> {
  const waiting = await sql<{ buildId: string }[]>`
    SELECT build_id FROM entry WHERE event_id = ${eventId} AND inspection = 'waiting' AND build_id IS NOT NULL
  `;
  for (const b of (await enteredOf(projectId)).filter((x) => waiting.some((w) => w.buildId === x.buildId))) {
    const { typed, waives } = asRecorded(await linesOf(projectId, b.buildId));
    const waiver = waives ? "Rehearsal" : "";
    await does(inspectBuild, {
      ...{ id: randomUUID(), buildId: b.buildId, after: b.inspections.length, typed },
      ...{ outcome: "passed", waiver },
    });
  }
}

async function attempts({ sql, projectId, id, all, random, does }: Of): Promise<number> {
  const event = (await eventsOf(projectId, sql)).find((e) => e.id === id);
  if (!event) return 0;
  const usual = await usualReadings(id, sql);
  const measures = event.protocolDefinition.measures.filter((m) => event.needed.includes(m.key));
  const n = event.definition.policy.n;
  const ready = event.entries.filter((e) => e.inspection === "passed" && e.taken < n);
  const least = Math.min(...ready.map((e) => e.taken));
  let made = 0;
  for (let round = least; round < (all ? n : least + 1); round++)
    for (const e of ready.filter((x) => x.taken <= round)) {
      const readings = Object.fromEntries(
        measures.map((m) => {
          const known = usual.find((u) => u.entryId === e.id && u.key === m.key)?.value;
          const around = known === undefined ? null : fromSi(String(known), m.unit).toNumber();
          return [m.key, simulatedReading({ ...m, min: m.min ?? "", max: m.max ?? "" }, around, random)];
        }),
      );
      const foul = random() < 0.06;
      await does(scoreAttempt, {
        ...{ id: randomUUID(), entryId: e.id, state: foul ? "foul" : "valid", sure: true },
        ...{ readings, seconds: event.definition.care ? readings : {} },
      });
      made++;
    }
  return made;
}

async function sheets({ sql, projectId, id, all, random, does }: Of, actor: Actor): Promise<number> {
  const [event] = await judgedEventsOf(projectId, sql, id);
  if (!event) return 0;
  const links = (await judgesOf(projectId)).map(
    (l): Actor => ({ kind: "guest", id: l.id, name: l.name, role: "judge", project: projectId }),
  );
  let made = 0;
  for (const n of event.entries) {
    for (const judge of links.length ? links : [actor]) {
      if (judge.kind === "nobody" || event.sheets.some((s) => s.entryId === n.id && s.judgeId === judge.id)) continue;
      const marks = Object.fromEntries(
        event.rules.criteria.map((c) => [c.key, String(simulatedMark(event.rules.most, random))]),
      );
      await does(markSheet, { id: randomUUID(), entryId: n.id, after: 0, marks }, judge);
      made++;
    }
    if (made > 0 && !all) break;
  }
  return made;
}

async function matches({ sql, projectId, id, seed, all, random, does }: Of): Promise<number> {
  const read = async () => (await matchEventsOf(projectId, sql, id))[0];
  let made = 0;
  for (let event = await read(); event; event = await read()) {
    const { matches: known } = playedView(event);
    if (event.entries.every((n) => n.seed === null)) await does(drawRunOrder, { id, version: event.version, seed });
    else {
      const [next] = toPlay(playedView(event)).filter((m) => m.waiting.length === 0);
      const open = event.rules.format === "records" && event.drawn.length < event.rules.rounds;
      if (next) {
        const winner = random() < 0.5 ? "a" : "b";
        const measured = event.rules.decides === "measured" || event.rules.decides === "games";
        const best = Math.ceil((event.rules.games + 1) / 2);
        const score = event.rules.decides === "games" ? [best, best - 1] : [12, 10];
        const [aScore, bScore] = (winner === "a" ? score : score.toReversed()).map(String);
        const { slot, a, b } = next;
        await does(recordMatch, {
          ...{ id: randomUUID(), eventId: id, slot, a, b, outcome: "won", winner: measured ? null : winner },
          ...(measured && { aScore, bScore }),
        });
        made++;
        if (!all) return made;
      } else if (open && known.every((m) => m.state !== "ready"))
        await does(drawRound, { id, version: event.version, seed: `${seed}-${event.drawn.length + 1}` });
      else return made;
    }
  }
  return made;
}
