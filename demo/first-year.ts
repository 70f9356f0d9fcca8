import { randomUUID } from "node:crypto";
import { addDays } from "@/core/sessions/date";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBrief } from "@/stages/brief/commands";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveFailure } from "@/stages/builds/commands/failures";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { confirmEvent, drawRunOrder, saveEvent } from "@/stages/contest/commands/events";
import { checkEvent } from "@/stages/contest/commands/safety";
import { eventsOf } from "@/stages/contest/queries/events";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { createProject } from "@/stages/plan/commands/projects";
import { finishProject } from "@/stages/records/commands/editions";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { chooseAwards } from "./crowd";
import { measure, requirement, roster } from "./helpers";
import { inspectAll } from "./inspections";
import { lift, pumpOf, random } from "./model";
import { liftTest, timedLift } from "./protocols";
import { at, fresh, run } from "./run";
import * as story from "./story";
import { keepOfFirst } from "./terrace-kept";

const teams = [
  { name: "Anvil", flow: 5.9, eff: 0.18, features: "rag seal, marble valve" },
  { name: "Bellows", flow: 6.4, eff: 0.19, features: "leather cup, flap valve" },
  { name: "Crank", flow: 4.6, eff: 0.14, features: "rag seal, ball valve, long lever" },
  { name: "Dowel", flow: 5.3, eff: 0.16, features: "leather cup, marble valve" },
];

const members = [
  "Aino Laine",
  "Bruno Keller",
  "Celia Rowe",
  "Dag Solheim",
  "Elena Petrova",
  "Farid Naser",
  "Gwen Ashby",
  "Hugo Castell",
  "Iris Okoye",
  "Jonas Weil",
];

const failed: Record<string, { mode: string; place: string; cause: string }> = {
  Anvil: { mode: "The rag seal came off the piston", place: "piston", cause: "slip" },
  Crank: { mode: "The lever's pivot worked loose", place: "pivot", cause: "joint" },
  Dowel: { mode: "The dowel cracked at the bolt hole", place: "handle", cause: "brace" },
};

/** The first edition, two years ago: one section, four teams, a heavier limit and a coarser test. */
export async function firstYear(owner: string, start: string): Promise<string> {
  const rnd = random("first year");
  await at(addDays(start, -3));
  const { projectId, sectionIds } = await run(createProject, owner, {
    title: "Terrace Pump, the first",
    purpose: "Lift stored rainwater 1.60 m by hand for a terraced garden",
    kind: "both",
    client: "Odile Brandt",
    currency: "cr",
    startsOn: start,
    endsOn: addDays(start, 60),
    eventOn: addDays(start, 60),
    sections: [{ name: "3", days: [1, 2, 4] }],
  });
  fresh();
  const rules = story.brief
    .replace("5.0 kg", "7.0 kg")
    .replace(/^- No more than .*\n/m, "")
    .replace("45.00 cr", "40.00 cr");
  await run(saveBrief, owner, { projectId, baseNumber: 0, body: rules });
  const ids = await roster(
    projectId,
    owner,
    members.map((name) => ({ name, section: "3" })),
  );
  // In the first year the height was kept less closely.
  const test = liftTest(1);
  const conditions = test.conditions.map((c) => (c.key === "h" ? { ...c, tolerance: "0.10" } : c));
  const { id: protocol } = await run(saveProtocol, owner, {
    projectId,
    name: "Lift test",
    definition: { ...test, conditions },
  });
  const asked = [
    ["Moves enough water for one bed in ten minutes", `run:${protocol}:Q`, "≥", "L/min", "5", "test"],
    ["One person carries it up the steps", "mass", "≤", "kg", "7.0 kg", "inspection"],
    ["Parts stay within the garden's budget", "cost", "≤", "1", "40", "inspection"],
  ] as const;
  for (const [statement, measured, comparator, unit, target, method] of asked)
    await run(
      saveRequirement,
      owner,
      requirement(projectId, statement, "must", "constraint", measured, comparator, unit, target, method, "Client"),
    );
  const made: ((typeof teams)[number] & { id: string; lead: string })[] = [];
  for (const [i, t] of teams.entries()) {
    const { id } = await run(createTeam, owner, { projectId, name: t.name, sectionId: sectionIds[0] });
    const mine = members.filter((_, k) => k % teams.length === i);
    for (const [k, n] of mine.entries())
      await run(moveStudent, owner, {
        projectId,
        personId: ids.get(n),
        teamId: id,
        role: k === 0 ? "lead" : "records",
      });
    made.push({ ...t, id, lead: ids.get(mine[0]!)! });
  }
  fresh();
  const version = (await protocolsOf(projectId))[0]!.versionId;
  const builds = new Map<string, string>();
  for (const [g, week, share] of [
    [0, 3, 0.6],
    [1, 7, 1],
  ] as const)
    for (const t of made) {
      const date = addDays(start, week * 7);
      await at(date, 10);
      const parent = builds.get(t.name);
      const closes: string[] = [];
      const fault = failed[t.name];
      if (g === 1 && fault && t.name !== "Crank")
        closes.push((await run(saveFailure, owner, { buildId: parent, ...fault, severity: "worse" })).id);
      const { id } = await run(saveBuild, t.lead, {
        teamId: t.id,
        stage: g === 0 ? "prototype" : "final",
        builtOn: date,
        whatChanged:
          g === 0 ? "First one that lifts" : fault ? `Mended: ${fault.place}` : "A seal of leather, larger bore",
        why: g === 0 ? "To see water at the top" : "What failed in the test",
        mass: `${(4.8 + g * 0.7 + rnd()).toFixed(2)} kg`,
        cost: (18 + g * 8 + rnd() * 6).toFixed(2),
        sides: "590 × 390 × 380 mm",
        parentIds: parent ? [parent] : [],
        closes,
        features: t.features,
        variables: `stroke = ${(0.2 + g * 0.02).toFixed(2)} m`,
      });
      builds.set(t.name, id);
      if (g === 1 && fault && t.name === "Crank")
        await run(saveFailure, owner, { buildId: id, ...fault, severity: "worse" });
      for (let i = 0; i < 2; i++)
        await measure(t.lead, id, version, pumpOf(t.flow * share, t.eff), rnd, addDays(date, 1), i);
    }
  const day = addDays(start, 60);
  await at(day, 9);
  const lifted = timedLift(projectId, protocol, "2211");
  const { id: event } = await run(saveEvent, owner, lifted);
  await run(drawRunOrder, owner, { id: event, version: 1, seed: "2211" });
  await inspectAll(owner, projectId, day);
  await run(checkEvent, owner, { id: event, cautions: lifted.cautions.split("\n"), signed: lifted.officer });
  const [e] = await eventsOf(projectId);
  for (let a = 0; a < 2; a++)
    for (const n of e!.entries) {
      const t = made.find((x) => x.id === n.teamId)!;
      await at(day, 10 + a, n.runOrder! * 6);
      const readings = { m: lift(pumpOf(t.flow, t.eff), rnd).collected };
      await run(scoreAttempt, owner, { id: randomUUID(), entryId: n.id, state: "valid", readings });
    }
  const [last] = await eventsOf(projectId);
  await run(confirmEvent, owner, { id: event, version: last!.version });
  await chooseAwards(owner, projectId);
  await run(finishProject, owner, { projectId });
  await keepOfFirst(owner, projectId, builds, day);
  return projectId;
}
