import { type SlotProblem, slotGround } from "./problem";
import type { SlotPlace } from "./solver";

/** What is wrong with a plan, as data. */
export type SlotBreach =
  | { readonly kind: "team away" | "no time"; readonly team: string }
  | { readonly kind: "small panel" | "large panel"; readonly team: string; readonly reviewers: number }
  | { readonly kind: "reviewer away" | "reviewer twice"; readonly team: string; readonly reviewer: string }
  | { readonly kind: "room twice"; readonly team: string; readonly room: number };

/**
 * Everything that a plan, made or changed by hand, does against its problem; and the times that each reviewer waits.
 * @example
 * checkSlots(slotProblem({ seed: "1", teams: 1, reviewers: 1, days: 1, perDay: 2, rooms: 1 }), [
 *   { team: "t1", day: "2027-03-08", from: 0, room: 0, reviewers: [] },
 * ]).breaches
 * // => [{ kind: "no time", team: "t1" }]
 */
export function checkSlots(
  problem: SlotProblem,
  places: readonly SlotPlace[],
): { readonly breaches: readonly SlotBreach[]; readonly gaps: number; readonly waits: ReadonlyMap<string, number> } {
  const { times, there, open } = slotGround(problem);
  const breaches: SlotBreach[] = [];
  const at = (p: SlotPlace) => times.findIndex((t) => t.day === p.day && t.from === p.from);
  const works = new Map<string, Set<number>>(problem.reviewers.map((r) => [r.name, new Set<number>()]));
  const rooms = new Set<string>();
  for (const p of places) {
    const t = at(p);
    const team = problem.teams.findIndex((x) => x.id === p.team);
    if (t < 0) {
      breaches.push({ kind: "no time", team: p.team });
      continue;
    }
    if (team >= 0 && !open[team]!.includes(t)) breaches.push({ kind: "team away", team: p.team });
    const room = `${t} ${p.room}`;
    if (rooms.has(room) || p.room >= problem.rooms) breaches.push({ kind: "room twice", team: p.team, room: p.room });
    rooms.add(room);
    if (p.reviewers.length < problem.panel.least)
      breaches.push({ kind: "small panel", team: p.team, reviewers: p.reviewers.length });
    if (p.reviewers.length > problem.panel.most)
      breaches.push({ kind: "large panel", team: p.team, reviewers: p.reviewers.length });
    for (const name of p.reviewers) {
      const r = problem.reviewers.findIndex((x) => x.name === name);
      if (!there[r]?.[t]) breaches.push({ kind: "reviewer away", team: p.team, reviewer: name });
      if (works.get(name)?.has(t)) breaches.push({ kind: "reviewer twice", team: p.team, reviewer: name });
      works.get(name)?.add(t);
    }
  }
  const waits = new Map(
    problem.reviewers.map((r, i) => {
      const own = works.get(r.name)!;
      let waited = 0;
      let idle = 0;
      let on = false;
      for (const [t, time] of times.entries()) {
        if (times[t - 1]?.block !== time.block || !there[i]![t]) {
          on = false;
          idle = 0;
        }
        if (own.has(t)) {
          waited += on ? idle : 0;
          on = true;
          idle = 0;
        } else idle++;
      }
      return [r.name, waited] as const;
    }),
  );
  return { breaches, gaps: [...waits.values()].reduce((a, b) => a + b, 0), waits };
}
