import { saveProgramme } from "@/stages/contest/commands/programme";
import { programmeOf } from "@/stages/contest/queries/programme";
import { run } from "./run";

/** When each event of the day begins, on how many benches, and how long an attempt or a match takes. */
const day = {
  "Timed lift": { starts: "9:00", lanes: 2, minutes: "6", repair: 15 },
  "Exact fill": { starts: "10:40", lanes: 1, minutes: "4", repair: 10 },
  "Design and build": { starts: "11:50", lanes: 1, minutes: "8", repair: 0 },
  "Tank race": { starts: "13:00", lanes: 1, minutes: "6", repair: 10 },
} as const;

/** Puts the events of a contest into the programme of its day. */
export async function planTheDay(owner: string, projectId: string): Promise<void> {
  for (const e of await programmeOf(projectId)) {
    const plan = day[e.name as keyof typeof day];
    if (plan) await run(saveProgramme, owner, { id: e.id, version: e.version, ...plan });
  }
}
