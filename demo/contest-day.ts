import { randomUUID } from "node:crypto";
import { saveBoard, showOnBoard } from "@/stages/contest/commands/boards";
import { drawRunOrder } from "@/stages/contest/commands/events";
import { inspectBuild } from "@/stages/contest/commands/inspections";
import { enteredOf, linesOf } from "@/stages/contest/queries/inspections";
import { programmeOf } from "@/stages/contest/queries/programme";
import { asRecorded } from "@/stages/contest/view/inspection";
import { createGuestLink } from "@/stages/people/commands/guests";
import { at, run } from "./run";

/**
 * The morning of a contest: the orders are drawn, two boards hang in the hall, scorers have their
 * links, and half of the builds are inspected: one is turned away, one starts over a limit that was agreed on.
 */
export async function morning(owner: string, projectId: string, day: string): Promise<void> {
  await at(day, 7, 40);
  const events = await programmeOf(projectId);
  for (const e of events) {
    if (e.format === "attempts")
      await run(drawRunOrder, owner, { id: e.id, version: e.version, seed: `${day.replaceAll("-", "")}-${e.name}` });
  }
  const { id: hall } = await run(saveBoard, owner, { projectId, name: "Gym wall" });
  await run(saveBoard, owner, { projectId, name: "At the door", light: true });
  await run(showOnBoard, owner, { id: hall, shows: "order", eventId: events.find((e) => e.format === "attempts")!.id });
  for (const label of ["Bench 1", "Bench 2"])
    await run(createGuestLink, owner, { projectId, role: "scorer", label, days: 3 });
  const builds = await enteredOf(projectId);
  for (const [i, b] of builds.slice(0, Math.ceil(builds.length / 2)).entries()) {
    await at(day, 8, 10 + 4 * i);
    const { typed, waives } = asRecorded(await linesOf(projectId, b.buildId));
    const asked = { id: randomUUID(), buildId: b.buildId, after: b.inspections.length, typed };
    if (i === 1) await run(inspectBuild, owner, { ...asked, outcome: "turned away", note: "A hose clamp is loose" });
    else
      await run(inspectBuild, owner, {
        ...asked,
        outcome: "passed",
        waiver: waives ? "Agreed with the client at the final review" : "",
      });
  }
}
