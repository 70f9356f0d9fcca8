import { randomUUID } from "node:crypto";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { exactly } from "@/core/run/reading";
import { addDays } from "@/core/sessions/date";
import { saveSettings } from "@/platform/project/save-settings";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { recordRun } from "@/stages/bench/commands/runs";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBrief } from "@/stages/brief/commands";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveFailure } from "@/stages/builds/commands/failures";
import { saveEvent } from "@/stages/contest/commands/events";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { createProject } from "@/stages/plan/commands/projects";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { begin, requirement, roster } from "./helpers";
import { random } from "./model";
import { at, clock, fresh, run } from "./run";

const steps = [
  "Crank takes up the slack",
  "Sack leaves the ground",
  "Pawl holds",
  "Sack clears the rail",
  "Sack is set down",
];
const damage = ["whole", "scuffed", "loose joint", "broken"];

/** How far a hoist goes in one trial: steps that trigger one another. */
const porchRun: ProtocolDefinition = {
  conditions: [
    { key: "W", name: "Sack", unit: "lb", target: "2", tolerance: "0.1" },
    { key: "h", name: "Height of the porch", unit: "ft", target: "3", tolerance: "0.1" },
  ],
  measures: [
    { key: "passed", name: "Steps passed", ...exactly, kind: "count", min: "0", max: "5" },
    { key: "t", name: "Time", unit: "s", resolution: "0.5", min: "3", max: "120" },
  ],
  constants: [],
  derived: [],
  primary: "passed",
  better: "more",
  policy: { school: "best", n: 4, foul: "out" },
  safety: [
    "Nobody stands under the sack, and nobody's fingers are at the drum or the pawl while it turns.",
    "Ask the instructor before the first lift of a new hoist.",
  ],
  steps,
};

const dropTest: ProtocolDefinition = {
  conditions: [{ key: "h", name: "Height of the drop", unit: "in", target: "18", tolerance: "1" }],
  measures: [{ key: "d", name: "Damage", ...exactly, kind: "level", levels: damage }],
  constants: [],
  derived: [],
  primary: "d",
  better: "less",
  policy: { school: "median", n: 3, foul: "out" },
  safety: ["Eyes protected; the landing place is clear for 6 ft around."],
};

interface Hoist {
  readonly team: string;
  readonly members: readonly string[];
  /** Each generation: what changed, its mass and parts, how likely a step passes, its time, how hard it lands. */
  readonly builds: readonly {
    readonly changed: string;
    readonly mass: string;
    readonly parts: number;
    readonly passes: readonly number[];
    readonly seconds: number;
    readonly hurt: number;
    readonly fails?: string;
  }[];
}

const hoists: readonly Hoist[] = [
  {
    team: "Block",
    members: ["Asha Patel", "Ben Ortiz", "Cleo Marsh"],
    builds: [
      {
        changed: "Wooden spool and a crank of dowel",
        mass: "3 lb 4 oz",
        parts: 12,
        passes: [1, 0.9, 0.4, 0.7, 0.6],
        seconds: 38,
        hurt: 1.2,
      },
      {
        changed: "A pawl with a rubber band",
        mass: "3 lb 6 oz",
        parts: 14,
        passes: [1, 1, 0.9, 0.85, 0.8],
        seconds: 34,
        hurt: 0.8,
      },
    ],
  },
  {
    team: "Cleat",
    members: ["Dario Lenz", "Effie Brandt", "Finn Okoro"],
    builds: [
      {
        changed: "Pulley on a bracket, pulled by hand",
        mass: "2 lb 2 oz",
        parts: 9,
        passes: [1, 1, 0.3, 0.5, 0.5],
        seconds: 14,
        hurt: 0.4,
        fails: "The line slipped through the fingers: nothing held it",
      },
      {
        changed: "A cleat that bites the line",
        mass: "2 lb 5 oz",
        parts: 11,
        passes: [1, 1, 0.85, 0.8, 0.75],
        seconds: 17,
        hurt: 0.5,
      },
    ],
  },
  {
    team: "Drum",
    members: ["Gia Romano", "Hugo Vance", "Ines Duarte"],
    builds: [
      {
        changed: "Tin drum on a steel rod",
        mass: "5 lb",
        parts: 16,
        passes: [0.9, 0.8, 0.6, 0.5, 0.4],
        seconds: 52,
        hurt: 2.1,
        fails: "The rod bent and the drum rubbed its frame",
      },
      {
        changed: "Shorter drum with two bearings",
        mass: "4 lb 1 oz",
        parts: 14,
        passes: [1, 0.95, 0.8, 0.75, 0.7],
        seconds: 41,
        hurt: 1.4,
      },
    ],
  },
  {
    team: "Gin",
    members: ["Jonas Field", "Kaya Demir", "Leo Novak"],
    builds: [
      {
        changed: "Counterweight on a long beam",
        mass: "6 lb 8 oz",
        parts: 13,
        passes: [1, 0.7, 0.2, 0.2, 0.1],
        seconds: 22,
        hurt: 2.6,
        fails: "The beam swung past the rail and struck the post",
      },
    ],
  },
  {
    team: "Winch",
    members: ["Mina Castle", "Noor Haddad", "Otis Grant"],
    builds: [
      {
        changed: "Card mock-up of a gear pair",
        mass: "1 lb 1 oz",
        parts: 10,
        passes: [0.9, 0.6, 0.3, 0.3, 0.2],
        seconds: 60,
        hurt: 1.8,
      },
      {
        changed: "Gears of plywood, eight to one",
        mass: "3 lb 9 oz",
        parts: 14,
        passes: [1, 1, 0.95, 0.9, 0.9],
        seconds: 39,
        hurt: 0.7,
      },
    ],
  },
];

/** Two weeks of a middle school: a hand hoist for a porch, in pounds and feet, at its second week. */
export async function porchHoist(owner: string, start: string): Promise<void> {
  const rnd = random("porch");
  await at(addDays(start, -3));
  const { projectId, sectionIds } = await run(createProject, owner, {
    title: "Porch Hoist",
    purpose: "Lift a sack of bulbs up a porch by hand",
    kind: "both",
    client: "Mr. Abel Finch, gardener",
    currency: "$",
    startsOn: start,
    endsOn: addDays(start, 11),
    eventOn: addDays(start, 11),
    sections: [{ name: "7B", days: [1, 2, 3, 4, 5] }],
  });
  fresh();
  await run(saveSettings, owner, { projectId, units: "us", teamMin: 3, teamMax: 3 });
  await run(saveBrief, owner, {
    projectId,
    baseNumber: 0,
    body:
      "## Need\n\nMr. Finch brings sacks of bulbs up his porch. His back is tired.\n\n## Rules\n\n" +
      "- A sack of **2 lb** goes up **3 ft**, by one hand on a crank or a line.\n- At most **14 parts**.\n" +
      "- At most **40 s**.\n\n" +
      "## Safety\n\nNobody stands under the sack. Saws and drills only at the bench, with the instructor.\n",
  });
  const ids = await roster(
    projectId,
    owner,
    hoists.flatMap((h) => h.members.map((name) => ({ name, section: "7B" }))),
  );
  const { id: porch } = await run(saveProtocol, owner, { projectId, name: "Porch run", definition: porchRun });
  const { id: drop } = await run(saveProtocol, owner, { projectId, name: "Drop test", definition: dropTest });
  const version = async (id: string) => (await protocolsOf(projectId)).find((p) => p.id === id)!.versionId;
  const [runs, drops] = [await version(porch), await version(drop)];
  const must = (
    statement: string,
    measure: string,
    comparator: string,
    unit: string,
    target: string,
    method = "test",
  ) => requirement(projectId, statement, "must", "constraint", measure, comparator, unit, target, method, "Client");
  for (const r of [
    must("Sets the sack down on the porch", `run:${porch}:passed`, "≥", "1", "5"),
    must("Is quick enough for a full barrow", `run:${porch}:t`, "≤", "s", "40"),
    must("Has few parts to lose", "", "≤", "1", "14", "inspection"),
    must("Is light enough to hang up", "mass", "≤", "lb", "4 lb 8 oz", "inspection"),
  ])
    await run(saveRequirement, owner, r);
  await run(saveRequirement, owner, {
    ...must("Survives a fall from the rail", `run:${drop}:d`, "≤", "1", "1"),
    priority: "should",
    kind: "criterion",
  });
  const teams = new Map<string, string>();
  for (const h of hoists) {
    const { id } = await run(createTeam, owner, { projectId, name: h.team, sectionId: sectionIds[0] });
    teams.set(h.team, id);
    for (const n of h.members) await run(moveStudent, owner, { projectId, personId: ids.get(n), teamId: id });
  }
  fresh();
  for (const [g, day] of [3, 7].entries())
    for (const [i, h] of hoists.entries()) {
      const b = h.builds[g];
      if (!b || addDays(start, day) > clock.today) continue;
      const [lead, recorder] = [ids.get(h.members[0]!)!, ids.get(h.members[1]!)!];
      await at(addDays(start, day), 9, i * 4);
      const { id: buildId } = await run(saveBuild, lead, {
        teamId: teams.get(h.team),
        stage: g === 0 ? "mock-up" : "prototype",
        builtOn: addDays(start, day),
        whatChanged: b.changed,
        why: g === 0 ? "The first idea that all of us could build" : "What failed before",
        mass: b.mass,
        predicted: g === 0 ? "" : "5",
        variables: `parts = ${b.parts}`,
      });
      await begin(lead, buildId, runs);
      for (let k = 0; k < 4; k++) {
        await at(addDays(start, day), 10, i * 8 + k * 2);
        const stopped = b.passes.findIndex((p) => rnd() > p);
        const passed = stopped < 0 ? steps.length : stopped;
        await run(recordRun, recorder, {
          id: randomUUID(),
          buildId,
          protocolVersionId: runs,
          readings: {
            passed: String(passed),
            t: String(Math.round(2 * b.seconds * (0.9 + rnd() * 0.2) * ((passed + 1) / 6)) / 2),
          },
          conditions: { W: (1.96 + rnd() * 0.08).toFixed(2), h: (2.95 + rnd() * 0.1).toFixed(2) },
        });
      }
      await begin(lead, buildId, drops);
      for (let k = 0; k < 3; k++) {
        await at(addDays(start, day), 11, i * 6 + k);
        const level = Math.max(0, Math.min(damage.length - 1, Math.floor(b.hurt + rnd())));
        await run(recordRun, recorder, {
          id: randomUUID(),
          buildId,
          protocolVersionId: drops,
          readings: { d: damage[level] },
          conditions: { h: (17.6 + rnd() * 0.9).toFixed(1) },
        });
      }
      if (b.fails)
        await run(saveFailure, lead, { buildId, mode: b.fails, cause: g === 0 ? "slip" : "", severity: "worse" });
    }
  await at(clock.today, 8);
  const ladder = {
    kind: "levels",
    levels: [
      { name: "takes up the slack", points: "20" },
      { name: "lifts the sack", points: "50" },
      { name: "holds it", points: "70" },
      { name: "clears the rail", points: "85" },
      { name: "sets it down", points: "100" },
    ],
    none: "0",
  };
  await run(saveEvent, owner, {
    projectId,
    name: "Up the porch",
    protocolId: porch,
    channel: "passed",
    better: "more",
    school: "best",
    n: 3,
    foul: "out",
    ranking: "competition",
    ties: "digits",
    tieBreaks: ["second"],
    points: ladder,
    seed: "73",
  });
  await run(saveScheme, owner, {
    projectId,
    baseNumber: 0,
    decimals: 0,
    components: [
      {
        key: "ladder",
        name: "How far it goes",
        weight: "60",
        source: { kind: "points", full: "100", measure: { protocol: porch, channel: "passed" }, rule: ladder },
      },
      {
        key: "drop",
        name: "Survives the drop",
        weight: "20",
        source: {
          kind: "points",
          full: "100",
          measure: { protocol: drop, channel: "d" },
          rule: { kind: "levels", levels: damage.map((name, i) => ({ name, points: ["100", "80", "40", "0"][i] })) },
        },
      },
      { key: "notebook", name: "Notebook", weight: "20", source: { kind: "entered" } },
    ],
  });
}
