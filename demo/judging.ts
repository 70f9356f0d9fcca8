import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { confirmEvent, drawRunOrder } from "@/stages/contest/commands/events";
import { markSheet, saveJudgedEvent } from "@/stages/contest/commands/judged";
import { judgedEventsOf } from "@/stages/contest/queries/judged";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { at, run } from "./run";

const design = {
  name: "Design and build",
  criteria: [
    { name: "Fitness for the garden", weight: "3" },
    { name: "Workmanship", weight: "2" },
    { name: "Reasons and records", weight: "2" },
    { name: "Safe to use", weight: "1" },
  ],
  most: 5,
  method: "adjusted",
  tie: "heaviest",
  full: "100",
} as const;

const panel = ["Joiner from the town", "Gardener", "Former student"];

/** The judged event set up, its order drawn, and a link for each judge of the panel. */
export async function setUpJudging(owner: string, projectId: string, seed: string): Promise<string> {
  const { id } = await run(saveJudgedEvent, owner, { projectId, ...design });
  await run(drawRunOrder, owner, { id, version: 1, seed });
  for (const label of panel) await run(createGuestLink, owner, { projectId, role: "judge", label, days: 60 });
  return id;
}

/** The panel at work: one marks severely, one steps back from a team; the result is confirmed. */
export async function playJudging(
  owner: string,
  projectId: string,
  day: string,
  rnd: () => number,
  strength: (teamId: string) => number,
): Promise<void> {
  const id = await setUpJudging(owner, projectId, "3319");
  const event = async () => (await judgedEventsOf(projectId)).find((e) => e.id === id)!;
  const { entries, rules } = await event();
  const links = await guestLinksOf(projectId);
  const best = Math.max(...entries.map((n) => strength(n.teamId)));
  for (const [i, n] of entries.entries())
    for (const [k, label] of panel.entries()) {
      const link = links.find((l) => l.label === label && l.role === "judge")!;
      const judge: Actor = { kind: "guest", id: link.id, name: label, role: "judge", project: projectId };
      await at(day, 11, 10 + i * 8 + k);
      const sheet = { id: randomUUID(), entryId: n.id, after: 0 };
      if (k === 2 && i === 1) {
        await run(markSheet, judge, { ...sheet, stepped: true, note: "My brother is in this team" });
        continue;
      }
      const marks = Object.fromEntries(
        rules.criteria.map((c) => {
          const mark = 1.2 + (3.4 * strength(n.teamId)) / best + (rnd() - 0.5) * 2 - (k === 0 ? 1 : 0);
          return [c.key, String(Math.max(0, Math.min(rules.most, Math.round(mark))))];
        }),
      );
      await run(markSheet, judge, { ...sheet, marks });
    }
  await at(day, 12, 30);
  await run(confirmEvent, owner, { id, version: (await event()).version });
}
