// A contest day in a full hall, for measuring: a project of thirty teams with events one after the other, a link for
// every scorer, one for the boards, and the presenter's session, as JSON.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { type Command, execute } from "@/platform/command/command";
import { closeDb, db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { guestCookie } from "@/platform/sign-in/guests";
import { openSession } from "@/platform/sign-in/sessions";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveBoard } from "@/stages/contest/commands/boards";
import { drawRunOrder, saveEvent } from "@/stages/contest/commands/events";
import { inspectBuild } from "@/stages/contest/commands/inspections";
import { createGuestLink } from "@/stages/people/commands/guests";
import { createProject } from "@/stages/plan/commands/projects";
import { createTeam } from "@/stages/teams/commands/teams";

const [scorers, events, attempts] = [30, Number(process.argv[2] ?? 6), 20];

const weighing: ProtocolDefinition = {
  conditions: [],
  measures: [{ key: "m", name: "Collected", unit: "kg", resolution: "0.001", min: "0", max: "1000" }],
  constants: [],
  derived: [],
  primary: "m",
  better: "more",
  policy: { school: "best", n: attempts, foul: "out" },
  safety: [],
};

async function main(): Promise<void> {
  const [admin] = await db()<{ id: string }[]>`SELECT id FROM person WHERE admin`;
  let who: Actor = await actorOf(admin!.id);
  const run = async <I, O>(command: Command<I, O>, input: unknown): Promise<O> => {
    const r = await execute(command, who, input);
    if (!r.ok) throw new Error(`${command.name}: ${r.message}`);
    return r.value;
  };
  const { projectId, slug, sectionIds } = await run(createProject, {
    title: "Full Hall",
    kind: "contest",
    startsOn: "2027-01-18",
    endsOn: "2027-03-26",
    eventOn: "2027-03-02",
    currency: "cr",
    sections: [{ name: "Hall", days: [1, 2, 4] }],
  });
  who = await actorOf(admin!.id);
  const { id: protocolId } = await run(saveProtocol, { projectId, name: "Weighing", definition: weighing });
  for (let i = 1; i <= scorers; i++) {
    const { id: teamId } = await run(createTeam, { projectId, name: `Team ${i}`, sectionId: sectionIds[0] });
    const of = { teamId, stage: "final", builtOn: "2027-02-20", whatChanged: "As it stands" };
    const { id: buildId } = await run(saveBuild, of);
    await run(inspectBuild, { id: randomUUID(), buildId, after: 0, outcome: "passed", waiver: "For the measurement" });
  }
  const rules = { channel: "m", better: "more", school: "best", n: attempts, foul: "out", ranking: "competition" };
  const made: { id: string; entries: string[] }[] = [];
  for (let i = 1; i <= events; i++) {
    const event = {
      projectId,
      name: `Event ${i}`,
      protocolId,
      ...rules,
      ties: "resolution",
      resolution: "0.001",
      tieBreaks: [],
      seed: "1",
    };
    const { id } = await run(saveEvent, event);
    await run(drawRunOrder, { id, version: 1, seed: String(i) });
    const entries = await db()<{ id: string }[]>`SELECT id FROM entry WHERE event_id = ${id} ORDER BY run_order`;
    made.push({ id, entries: entries.map((n) => n.id) });
  }
  const { id: board } = await run(saveBoard, { projectId, name: "Hall" });
  const link = async (role: string, label: string) =>
    (await run(createGuestLink, { projectId, role, label, days: 2 })).secret;
  const cookies: string[] = [];
  for (let i = 1; i <= scorers; i++)
    cookies.push(`ironstone_guest=${await guestCookie(await link("scorer", `Scorer ${i}`))}`);
  const presenter = `ironstone_session=${(await openSession(admin!.id)).secret}`;
  console.log(
    JSON.stringify({
      projectId,
      slug,
      attempts,
      events: made,
      board,
      hall: await link("board", "Hall"),
      cookies,
      presenter,
    }),
  );
}
main().finally(closeDb);
