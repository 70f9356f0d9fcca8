// Fills an empty school with the demo, through the same commands that a user's clicks call, at the dates at which they
// would have been clicked.
import { randomUUID } from "node:crypto";
import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { addDays, mondayOf } from "@/core/sessions/date";
import { type Command, execute, today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { createFirstInstructor } from "@/platform/sign-in/sign-in";
import { recordRun, saveProtocol, voidRun } from "@/stages/bench/commands";
import { protocolsOf } from "@/stages/bench/queries";
import { acknowledgeBrief, saveBrief } from "@/stages/brief/commands";
import { briefVersions } from "@/stages/brief/queries";
import { addPhoto, saveBuild } from "@/stages/builds/commands";
import { buildById, buildsOf } from "@/stages/builds/queries";
import { saveConcept } from "@/stages/concepts/commands/concepts";
import { inspectEntry, scoreAttempt } from "@/stages/contest/commands/attempts";
import { confirmEvent, drawRunOrder, saveEvent } from "@/stages/contest/commands/events";
import { contestOf } from "@/stages/contest/queries/events";
import { enterMark, publishGrades, saveScheme } from "@/stages/grades/commands";
import { recordFinding, saveRequirement } from "@/stages/needs/commands/requirements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { addCoInstructor } from "@/stages/people/commands/guests";
import { importRoster } from "@/stages/people/commands/roster";
import { staffOf, studentsOf } from "@/stages/people/queries/students";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { checkMilestone, saveMilestone } from "@/stages/plan/commands/milestones";
import { createProject } from "@/stages/plan/commands/projects";
import { createEdition, finishProject } from "@/stages/records/commands";
import { addAction, closeAction, decideReview, planReviews, saveRubric, submitSheet } from "@/stages/reviews/commands";
import { reviewsOf, rubricsOf } from "@/stages/reviews/queries";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { coldBoxFront, terraceFront } from "./front";
import { lift, pumpOf, random } from "./model";
import * as story from "./story";

const actors = new Map<string, Actor>();
const as = async (id: string): Promise<Actor> => {
  const actor = actors.get(id) ?? (await actorOf(id));
  actors.set(id, actor);
  return actor;
};
const fresh = () => actors.clear();

async function run<I, O>(cmd: Command<I, O>, who: string | Actor, input: unknown): Promise<O> {
  const r = await execute(cmd, typeof who === "string" ? await as(who) : who, input);
  if (!r.ok) throw new Error(`${cmd.name}: ${r.message} ${JSON.stringify("fields" in r ? r.fields : "")}`);
  return r.value;
}

/** Sets the clock of everything that is written next. */
async function at(date: string, hour = 10, minute = 0): Promise<void> {
  const last = today0 < date ? today0 : date;
  process.env.IRONSTONE_TODAY = last;
  await db()`
    SELECT set_config(
      'ironstone.now',
      ${`${last}T${String(hour).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}:00${offset}`}, false
    )
  `;
}
let today0 = "";
const offset = (() => {
  const m = -new Date().getTimezoneOffset();
  return (
    `${m < 0 ? "-" : "+"}${String(Math.floor(Math.abs(m) / 60)).padStart(2, "0")}:` +
    `${String(Math.abs(m) % 60).padStart(2, "0")}`
  );
})();

const liftTest = (number: 1 | 2) => ({
  conditions: [
    { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: number === 1 ? "0.05" : "0.01", u: "0.005" },
    { key: "n", name: "Rate", unit: "strokes/min", target: "60", tolerance: "3" },
    { key: "Tw", name: "Water", unit: "°C", target: "20", tolerance: "5" },
  ],
  measures: [
    { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "0.5", max: "15" },
    { key: "F", name: "Force", unit: "N", resolution: "0.5", u: "0.5", min: "8", max: "120" },
    { key: "s", name: "Stroke", unit: "m", resolution: "0.001", u: "0.002", min: "0.1", max: "0.5" },
  ],
  constants: [
    { key: "rho", name: "Density of water", unit: "kg/m^3", value: "998" },
    { key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" },
    { key: "t", name: "Time", unit: "s", value: "60" },
  ],
  derived: [
    {
      key: "Q",
      name: "Flow",
      unit: "L/min",
      expression: "m / (rho * t)",
      decimals: 2,
      rule: "Collected water over the time it took.",
    },
    {
      key: "eta",
      name: "Efficiency",
      unit: "%",
      expression: "m * g * h / (F * s * n * t)",
      decimals: 1,
      rule: "Work done on the water over work put in at the handle.",
      bound: "100",
    },
  ],
  primary: "Q",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [
    "Water stays a metre away from power strips and chargers; wipe the floor before the next team.",
    "Fingers clear of the lever's pivot. Ask the instructor before the first run of a new build.",
  ],
});
const leakTest = {
  conditions: [],
  measures: [{ key: "leak", name: "Leak in 60 s", unit: "mL", resolution: "0.5", min: "0", max: "200" }],
  constants: [],
  derived: [],
  primary: "leak",
  better: "less",
  policy: { school: "mean", n: 2, foul: "out" },
  safety: [],
};

const dates = (day: (week: number, d: number) => string) =>
  `\n## Dates\n\n- Drawing handed in: ${day(3, 3)}\n- First review: ${day(5, 3)}\n- Final review, ` +
  `client present: ${day(9, 1)}\n- Contest: ${day(10, 4)}\n`;

const requirement = (
  projectId: string,
  statement: string,
  priority: string,
  kind: string,
  measure: string,
  comparator: string,
  unit: string,
  target: string,
  method: string,
  source: string,
  extra: object = {},
) => ({ projectId, statement, priority, kind, measure, comparator, unit, target, method, source, ...extra });

async function roster(projectId: string, who: string, rows: { name: string; section: string; email?: string }[]) {
  await run(importRoster, who, { projectId, rows });
  return new Map((await studentsOf(projectId)).map((s) => [s.name, s.id]));
}

async function sketch(words: string, hue: number): Promise<string> {
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="640"><rect width="900" height="640" ` +
    `fill="#efe7d8"/><g fill="none" stroke="hsl(${hue} 30% 30%)" stroke-width="9" ` +
    `stroke-linecap="round"><path d="M180 560h540M230 560V250h110v310M285 250V150M285 150h330M615 ` +
    `150v90M340 470h170V300h130"/><path d="M255 330h60M255 345h60" stroke-width="14"/><circle cx="430" ` +
    `cy="150" r="14" fill="#efe7d8"/></g><text x="180" y="92" font-family="sans-serif" font-size="38" ` +
    `fill="#3a332b">${words.replace(/&/g, "&amp;")}</text></svg>`;
  return (await sharp(Buffer.from(svg)).png().toBuffer()).toString("base64");
}

/** Last year's project, finished: its best becomes this year's benchmark line. */
async function lastYear(owner: string, start: string): Promise<string> {
  const rnd = random("last year");
  await at(addDays(start, -3));
  const { projectId, sectionIds } = await run(createProject, owner, {
    title: "Terrace Pump, last year",
    purpose: "Lift stored rainwater 1.60 m by hand for a terraced garden",
    kind: "both",
    client: "Odile Brandt",
    currency: "cr",
    startsOn: start,
    endsOn: addDays(start, 67),
    eventOn: addDays(start, 67),
    daysOff: `${addDays(start, 28)} Staff day`,
    sections: [
      { name: "3", days: [1, 2, 4] },
      { name: "5", days: [1, 3, 4] },
    ],
  });
  fresh();
  await run(saveBrief, owner, {
    projectId,
    baseNumber: 0,
    body: story.brief.replace("5.0 kg", "6.0 kg"),
  });
  const names = story.lastYear.members;
  const ids = await roster(
    projectId,
    owner,
    names.map((name, i) => ({ name, section: i < 9 ? "3" : "5" })),
  );
  const { id: protocol } = await run(saveProtocol, owner, {
    projectId,
    name: "Lift test",
    definition: liftTest(1),
  });
  const { id: leak } = await run(saveProtocol, owner, { projectId, name: "Leak test", definition: leakTest });
  for (const r of [
    requirement(
      projectId,
      "Lifts water to the upper terrace, 1.60 m above the tank",
      "must",
      "constraint",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Brief; site visit",
    ),
    requirement(
      projectId,
      "Moves enough water for one bed in ten minutes",
      "must",
      "criterion",
      `run:${protocol}:Q`,
      "≥",
      "L/min",
      "6",
      "test",
      "Client, interview 1: “A bed should be done before I finish my tea, ten minutes say.”",
    ),
    requirement(
      projectId,
      "One person carries it up the steps",
      "must",
      "constraint",
      "mass",
      "≤",
      "kg",
      "6.0 kg",
      "inspection",
      "Client: “I am not carrying a sack of cement.”",
    ),
    requirement(
      projectId,
      "Fits the tool shed shelf",
      "must",
      "constraint",
      "envelope",
      "fits",
      "",
      "",
      "inspection",
      "Site visit, measured",
      { sides: "600 × 400 × 400 mm" },
    ),
    requirement(
      projectId,
      "Parts stay within the garden's budget",
      "must",
      "constraint",
      "cost",
      "≤",
      "1",
      "45",
      "inspection",
      "Client",
    ),
    requirement(
      projectId,
      "Leaks nothing over the path",
      "must",
      "constraint",
      `run:${leak}:leak`,
      "≤",
      "mL",
      "5",
      "test",
      "Client, interview 1: “The path freezes.”",
    ),
  ])
    await run(saveRequirement, owner, r);
  const { id: rubricId } = await run(saveRubric, owner, { projectId, ...story.rubric });
  const teams: { id: string; name: string; lead: string; flow: number; eff: number }[] = [];
  for (const [i, t] of story.lastYear.teams.entries()) {
    const { id } = await run(createTeam, owner, {
      projectId,
      name: t.name,
      sectionId: sectionIds[i < 3 ? 0 : 1],
    });
    const mine = names.slice(i * 3, i * 3 + 3);
    for (const [k, n] of mine.entries())
      await run(moveStudent, owner, {
        projectId,
        personId: ids.get(n),
        teamId: id,
        role: ["lead", "mechanical", "records"][k],
      });
    teams.push({ id, ...t, lead: ids.get(mine[0]!)! });
  }
  fresh();
  const { id: milestone } = await run(saveMilestone, owner, {
    projectId,
    title: "Drawing handed in",
    dueOn: addDays(start, 16),
    scope: "team",
  });
  const version = (await protocolsOf(projectId)).find((p) => p.id === protocol)!.versionId;
  const last = new Map<string, string>();
  for (const [g, week, share, stage] of [
    [0, 3, 0.5, "mock-up"],
    [1, 5, 0.75, "prototype"],
    [2, 8, 1, "final"],
  ] as const)
    for (const t of teams) {
      await at(addDays(start, week * 7 + (g % 2)), 10);
      if (g === 0)
        await run(checkMilestone, owner, {
          milestoneId: milestone,
          teamId: t.id,
          doneOn: addDays(start, 15),
        });
      const b = await run(saveBuild, t.lead, {
        teamId: t.id,
        stage,
        builtOn: addDays(start, week * 7),
        whatChanged: ["First mock-up", "New seal and valve", "Final frame, guided rod"][g],
        why: ["See it move", "Half the water came back", "Less friction"][g],
        mass: `${(3.4 + g * 0.8 + rnd() * 0.5).toFixed(2)} kg`,
        cost: (14 + g * 9 + rnd() * 4).toFixed(2),
        sides: `${570 + Math.round(rnd() * 25)} × 380 × 370 mm`,
        parentId: last.get(t.id),
        features: g === 2 ? (t.name === "Adze" ? "leather cup, flap valve, guided rod" : "flap valve") : "",
        learned: g === 2 && t.name === "Delta" ? "A round bore matters more than a long lever" : "",
        variables: `stroke = ${(0.22 + g * 0.02).toFixed(2)} m`,
      });
      last.set(t.id, b.id);
      for (let i = 0; i < 3; i++)
        await measure(
          t.lead,
          b.id,
          version,
          pumpOf(t.flow * share, t.eff * (0.6 + 0.4 * share)),
          rnd,
          addDays(start, week * 7 + 2),
          i,
        );
    }
  await at(addDays(start, 58), 13);
  await run(planReviews, owner, {
    projectId,
    title: "Final review",
    heldOn: addDays(start, 59),
    rubricId,
    teamIds: teams.map((t) => t.id),
  });
  for (const r of await reviewsOf(projectId)) {
    await run(submitSheet, owner, {
      reviewId: r.id,
      raterName: "Instructor",
      marks: story.rubric.criteria.map((c) => ({ criterion: c.key, points: String(1 + Math.floor(rnd() * 3)) })),
      comment: "Thank you for a record that can be followed.",
    });
    await run(decideReview, owner, { id: r.id, version: 1, verdict: "go on", note: "" });
  }
  await at(addDays(start, 67), 9);
  const { id: event } = await run(saveEvent, owner, timedLift(projectId, protocol, "3317"));
  await run(drawRunOrder, owner, { id: event, version: 1, seed: "3317" });
  let [e] = await contestOf(projectId);
  for (const n of e!.entries) await run(inspectEntry, owner, { entryId: n.id, version: n.version, outcome: "passed" });
  for (let a = 0; a < 3; a++)
    for (const n of e!.entries) {
      const t = teams.find((x) => x.id === n.teamId)!;
      await at(addDays(start, 67), 10 + a, n.runOrder! * 6);
      const foul = rnd() < 0.08;
      await run(scoreAttempt, owner, {
        id: randomUUID(),
        entryId: n.id,
        state: foul ? "foul" : "valid",
        readings: { m: lift(pumpOf(t.flow, t.eff), rnd).collected },
      });
    }
  [e] = await contestOf(projectId);
  await run(confirmEvent, owner, { id: event, version: e!.version });
  await run(saveScheme, owner, {
    projectId,
    baseNumber: 0,
    decimals: 1,
    components: scheme("Final review", { protocol, channel: "Q" }, milestone),
  });
  await run(publishGrades, owner, { projectId });
  await run(finishProject, owner, { projectId });
  return projectId;
}

const timedLift = (projectId: string, protocolId: string, seed: string) => ({
  projectId,
  name: "Timed lift",
  protocolId,
  channel: "Q",
  better: "more",
  school: "best",
  n: 3,
  foul: "out",
  ranking: "competition",
  ties: "resolution",
  resolution: "0.1",
  tieBreaks: ["second", "lighter"],
  points: {
    kind: "line",
    anchors: [
      ["4", "0"],
      ["6", "60"],
      ["8", "85"],
      ["9", "100"],
    ].map(([at0, points]) => ({ at: at0, points })),
  },
  seed,
});
const scheme = (review: string, measure: object, milestone: string) => [
  { key: "review", name: review, weight: "40", source: { kind: "rubric", review } },
  {
    key: "performance",
    name: "Performance",
    weight: "30",
    source: {
      kind: "points",
      full: "100",
      measure,
      rule: {
        kind: "line",
        anchors: [
          ["2", "0"],
          ["4", "50"],
          ["6", "70"],
          ["8", "90"],
          ["9", "100"],
        ].map(([at0, points]) => ({ at: at0, points })),
      },
    },
  },
  { key: "drawing", name: "Drawing on time", weight: "10", source: { kind: "milestone", milestone } },
  { key: "notebook", name: "Notebook", weight: "20", source: { kind: "entered" } },
];

async function measure(
  who: string,
  buildId: string,
  protocolVersionId: string,
  pump: ReturnType<typeof pumpOf>,
  rnd: () => number,
  date: string,
  i: number,
  height = 1.6,
  foul = false,
): Promise<string> {
  const id = randomUUID();
  await at(date, 10 + Math.floor(i / 6), 5 + i * 7);
  const r = lift(pump, rnd, { height });
  await run(
    recordRun,
    who,
    foul
      ? { id, buildId, protocolVersionId, state: "no_finish", reason: "it jammed", readings: {}, conditions: {} }
      : {
          id,
          buildId,
          protocolVersionId,
          readings: { m: r.collected, F: r.force, s: r.stroke },
          conditions: { h: height.toFixed(2), n: (59 + rnd() * 2).toFixed(1), Tw: `${(17 + rnd() * 4).toFixed(1)} °C` },
        },
  );
  return id;
}

/** This year's project, in its seventh week of ten. */
async function thisYear(
  owner: string,
  co: { name: string; email: string },
  before: string,
  start: string,
): Promise<void> {
  const rnd = random("terrace pump");
  const day = (week: number, d: number) => addDays(start, (week - 1) * 7 + d);
  await at(addDays(start, -4));
  const { projectId } = await run(createEdition, owner, {
    projectId: before,
    title: "Terrace Pump",
    startsOn: start,
    endsOn: day(10, 4),
    eventOn: day(10, 4),
  });
  fresh();
  await run(addCoInstructor, owner, { projectId, ...co });
  await run(addDaysOffToProject, owner, { projectId, text: `${day(5, 0)} Staff day` });
  const ids = await roster(
    projectId,
    owner,
    story.teams.flatMap((t) =>
      t.members.map((name) => ({
        name,
        section: t.section,
        email: `${name.toLowerCase().replace(/[^a-z]+/g, ".")}@hartsedge.example`,
      })),
    ),
  );
  await at(day(1, 0), 9);
  await run(saveBrief, owner, {
    projectId,
    baseNumber: 1,
    body: `${story.brief.replace("5.0 kg", "6.0 kg")}${dates(day)}`,
    whatChanged: "Dates of this year",
  });
  const protocols = await protocolsOf(projectId);
  const protocol = protocols.find((p) => p.name === "Lift test")!;
  const leak = protocols.find((p) => p.name === "Leak test")!;
  await at(day(2, 1), 11);
  for (const r of [
    requirement(
      projectId,
      "Comfortable for a small adult",
      "should",
      "criterion",
      `run:${protocol.id}:F`,
      "≤",
      "N",
      "40",
      "test",
      "Observation, two users at the old pump",
    ),
    requirement(
      projectId,
      "One operator works it alone",
      "must",
      "constraint",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Brief",
    ),
    requirement(
      projectId,
      "No mains power near the water",
      "must",
      "constraint",
      "",
      "yes",
      "",
      "",
      "inspection",
      "Brief; safety rules",
    ),
    requirement(
      projectId,
      "Quiet near the reading corner",
      "could",
      "criterion",
      "",
      "",
      "",
      "",
      "",
      "Client, interview 2: “People read there. It should not clank.”",
    ),
    requirement(
      projectId,
      "Wastes little of the work put in",
      "should",
      "criterion",
      `run:${protocol.id}:eta`,
      "≥",
      "%",
      "20",
      "test",
      "Class, from last year's records",
    ),
    requirement(
      projectId,
      "Works with leaves in the water",
      "should",
      "criterion",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Site visit: the tank is open",
    ),
    requirement(
      projectId,
      "Only materials of the allowed list",
      "must",
      "constraint",
      "",
      "yes",
      "",
      "",
      "inspection",
      "Brief",
    ),
    requirement(
      projectId,
      "No sharp edge where a hand can reach",
      "must",
      "constraint",
      "",
      "yes",
      "",
      "",
      "inspection",
      "School's workshop rules",
    ),
    requirement(
      projectId,
      "Repaired with hand tools only",
      "could",
      "criterion",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Client, interview 2: “If it breaks on a Sunday, I fix it.”",
    ),
    requirement(
      projectId,
      "Primes itself within ten strokes",
      "should",
      "criterion",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Observation: the old pump needed a jug of water",
    ),
    requirement(
      projectId,
      "Stands by itself on gravel",
      "should",
      "criterion",
      "",
      "yes",
      "",
      "",
      "demonstration",
      "Site visit",
    ),
  ])
    await run(saveRequirement, owner, r);
  const byText = async (part: string) => (await requirementsOf(projectId)).find((r) => r.statement.includes(part))!;
  const change = async (part: string, more: object) => {
    const r = await byText(part);
    const back = (si: string | null) => (si === null ? "" : String(Number(si)));
    await run(saveRequirement, owner, {
      projectId,
      id: r.id,
      version: r.rowVersion,
      statement: r.statement,
      kind: r.kind,
      priority: r.priority,
      measure: r.measure ?? "",
      comparator: r.comparator ?? "",
      unit: r.unit ?? "",
      target: back(r.target),
      method: r.method ?? "",
      source: r.source,
      ...more,
    });
  };
  await at(day(2, 3), 14);
  await change("enough water", {
    target: "7.5",
    unit: "L/min",
    reason: "Client on 2.5 cans of 30 L in ten minutes: 75 L in 10 min",
    source:
      "Client, interview 1: “A bed should be done before I finish my tea, ten minutes say.” Follow-up: " +
      "“One bed takes two cans and a half.”",
  });
  const { id: drawing } = await run(saveMilestone, owner, {
    projectId,
    title: "Drawing handed in",
    dueOn: day(3, 3),
    scope: "team",
  });
  await run(saveMilestone, owner, {
    projectId,
    title: "Tool training signed",
    dueOn: day(3, 4),
    scope: "person",
  });
  // Concepts, then teams.
  await at(day(2, 4), 9);
  const teams = new Map<string, { id: string; members: string[] }>();
  const sections = new Map(
    (
      await db()<{ id: string; name: string }[]>`
        SELECT c.id, c.name
        FROM section c
        JOIN project_section ps ON ps.section_id = c.id
        WHERE ps.project_id = ${projectId}
      `
    ).map((s) => [s.name, s.id]),
  );
  for (const t of story.teams) {
    const { id } = await run(createTeam, owner, {
      projectId,
      name: t.name,
      sectionId: sections.get(t.section),
    });
    teams.set(t.name, { id, members: t.members.map((m) => ids.get(m)!) });
    for (const [k, m] of t.members.entries())
      await run(moveStudent, owner, {
        projectId,
        personId: ids.get(m),
        teamId: id,
        role: ["lead", "mechanical", "records", "tests"][k],
      });
  }
  fresh();
  const ideas = [
    "Piston in a drain pipe",
    "Bellows",
    "Two cylinders",
    "Chain and discs",
    "Swing tube",
    "Diaphragm",
    "Screw",
    "Treadle",
  ];
  for (const [i, t] of story.teams.entries())
    for (const [k, m] of t.members.slice(0, 3).entries()) {
      await at(day(2, 4), 10, i * 5 + k);
      const title = ideas[(i + k * 3) % ideas.length]!;
      await run(saveConcept, ids.get(m)!, {
        projectId,
        title,
        idea: `${title}, worked by a lever; water rises in the return stroke.`,
        mass: `${(2.6 + rnd() * 3).toFixed(1)} kg`,
        cost: (12 + rnd() * 30).toFixed(0),
        sides: `${520 + Math.round(rnd() * 110)} × 380 × 380 mm`,
      });
    }
  await terraceFront({ run, at, sketch, as, owner, projectId, ids }, day, start);
  // Who read the brief.
  const everybody = story.teams.flatMap((t) => t.members);
  const readers = async (skip: number) => {
    const [current] = await briefVersions(projectId);
    for (const [i, m] of everybody.entries())
      if (i % 14 !== skip) await run(acknowledgeBrief, ids.get(m)!, { projectId, briefVersionId: current!.id });
  };
  await readers(99);
  const versionOf = async (id: string) => (await protocolsOf(projectId)).find((p) => p.id === id)!.versionId;
  const leakVersion = await versionOf(leak.id);
  for (const t of story.teams) {
    await at(day(3, t.name === "Headrace" ? 4 : 2), 15);
    await run(checkMilestone, owner, {
      milestoneId: drawing,
      teamId: teams.get(t.name)!.id,
      doneOn: day(3, t.name === "Headrace" ? 4 : 2),
    });
  }
  // Builds and tests in the order in which they happened.
  type Step = { when: string; order: number; act: () => Promise<void> };
  const steps: Step[] = [];
  const newest = new Map<string, string>();
  for (const [i, g] of story.gens.entries()) {
    const team = teams.get(g.team)!;
    const lead = team.members[0]!;
    const recorder = team.members[2] ?? lead;
    let id = "";
    steps.push({
      when: day(g.week, g.day),
      order: i,
      act: async () => {
        await at(day(g.week, g.day), 9, i * 2);
        id = (
          await run(saveBuild, lead, {
            teamId: team.id,
            stage: g.stage,
            builtOn: today(),
            whatChanged: g.changed,
            why: g.why,
            expected: g.expected ?? "",
            predicted: g.predicted ?? "",
            mass: g.mass,
            cost: g.cost,
            sides: g.sides,
            variables: g.variables,
            features: g.features ?? "",
            learned: "",
            parentId: newest.get(g.team),
          })
        ).id;
        newest.set(g.team, id);
        if (g.stage === "prototype")
          await run(addPhoto, lead, {
            buildId: id,
            caption: `${g.team}, ${g.changed.toLowerCase()}`,
            base64: await sketch(`${g.team} prototype`, 20 + i * 9),
          });
      },
    });
    for (const r of g.runs)
      steps.push({
        when: day(r.week, r.day),
        order: 100 + i,
        act: async () => {
          const done: string[] = [];
          for (let k = 0; k < r.n; k++)
            done.push(
              await measure(
                recorder,
                id,
                await versionOf(protocol.id),
                pumpOf(r.flow, r.eff, Number(/stroke = ([\d.]+)/.exec(g.variables)?.[1] ?? 0.25)),
                rnd,
                day(r.week, r.day),
                k + i,
                r.height,
                r.foul && k === 1,
              ),
            );
          if (r.void) for (const x of done) await run(voidRun, owner, { id: x, version: 1, reason: r.void });
        },
      });
    for (const [k, value] of (g.leak ?? []).entries())
      steps.push({
        when: day(g.runs.at(-1)!.week, g.runs.at(-1)!.day),
        order: 200 + i,
        act: async () => {
          await at(day(g.runs.at(-1)!.week, g.runs.at(-1)!.day), 13, i + k);
          await run(recordRun, recorder, {
            id: randomUUID(),
            buildId: id,
            protocolVersionId: leakVersion,
            readings: { leak: `${value} mL` },
            conditions: {},
          });
        },
      });
    if (g.learned)
      steps.push({
        when: day(g.runs.at(-1)!.week, 4),
        order: 300 + i,
        act: async () => {
          await at(day(g.runs.at(-1)!.week, 4), 11, i);
          const b = (await buildById(projectId, id))!;
          await run(saveBuild, lead, {
            teamId: team.id,
            id,
            version: b.version,
            stage: g.stage,
            builtOn: b.builtOn,
            whatChanged: g.changed,
            why: g.why,
            expected: g.expected ?? "",
            predicted: g.predicted ?? "",
            mass: g.mass,
            cost: g.cost,
            sides: g.sides,
            variables: g.variables,
            features: g.features ?? "",
            learned: g.learned,
            parentId: b.parents[0],
          });
        },
      });
  }
  // The first tests could not be compared: the protocol is made stricter, as version 2.
  steps.push({
    when: day(3, 4),
    order: 0,
    act: async () => {
      await at(day(3, 4), 8);
      await run(saveProtocol, owner, {
        projectId,
        id: protocol.id,
        version: protocol.version,
        name: "Lift test",
        definition: liftTest(2),
        whatChanged: "Lift within 0.01 m, was 0.05 m: the first tests could not be compared",
      });
    },
  });
  // Week 4: the client cannot carry 6 kg up the steps. The limit falls, and what was weighed against it is stale.
  steps.push({
    when: day(4, 1),
    order: 50,
    act: async () => {
      await at(day(4, 1), 16);
      await change("carries it", {
        target: "5.0 kg",
        unit: "kg",
        reason: "Client tried a 6 kg mock-up on the steps: too heavy",
        source: "Client: “I am not carrying a sack of cement.” Changed from 6.0 kg after she tried one on the steps.",
      });
      await run(saveBrief, owner, {
        projectId,
        baseNumber: 2,
        body: `${story.brief}${dates(day)}`,
        whatChanged: "At most 5.0 kg, was 6.0 kg: the client tried 6 kg on the steps",
      });
      await readers(3);
    },
  });
  // The first review, in week 5.
  steps.push({
    when: day(5, 3),
    order: 1000,
    act: async () => {
      await at(day(5, 2), 8);
      const [rubric] = await rubricsOf(projectId);
      await run(planReviews, owner, {
        projectId,
        title: "First review",
        heldOn: day(5, 3),
        rubricId: rubric!.id,
        teamIds: [...teams.values()].map((t) => t.id),
      });
      const co0 = (await staffOf(projectId)).find((x) => x.role === "co")!.id;
      for (const [i, r] of (await reviewsOf(projectId)).entries()) {
        await at(day(5, 3), 10, i * 6);
        const skill = story.gens.filter((g) => g.team === r.team && g.week <= 5).at(-1)!.runs[0]!.flow / 6.5;
        for (const who of [owner, co0])
          await run(submitSheet, who, {
            reviewId: r.id,
            raterName: "Instructor",
            comment:
              who === owner
                ? ({
                    Freshet: "A brave idea, honestly reported. Tune the tube before you give it up.",
                    Cistern: "One change at a time, and it shows.",
                    Downpour: "What replaces the corks?",
                  }[r.team] ?? "")
                : "",
            marks: story.rubric.criteria.map((c) => ({
              criterion: c.key,
              points: String(Math.max(0, Math.min(3, Math.round(skill * 2.4 + rnd() * 1.2 - 0.4)))),
              comment: "",
            })),
          });
        await run(decideReview, owner, {
          id: r.id,
          version: 1,
          verdict: skill > 0.8 ? "go on" : r.team === "Downpour" ? "stop and rework" : "go on with fixes",
          note: "",
        });
        if (skill <= 0.8)
          await run(addAction, owner, {
            reviewId: r.id,
            what:
              {
                Downpour: "Replace the corks by something that does not swell",
                Freshet: "Find the rate at which the swing adds up",
                Bramble: "Change one variable at a time in the next generation",
                Headrace: "Brace the frame",
                Alder: "Measure the leak of the seal",
              }[r.team] ?? "Show the leak test",
            ownerId: teams.get(r.team)!.members[1],
            dueOn: day(6, r.team === "Downpour" ? 2 : 4),
          });
      }
    },
  });
  steps.push({
    when: day(7, 0),
    order: 2000,
    act: async () => {
      await at(day(7, 0), 14);
      for (const r of await reviewsOf(projectId))
        for (const a of r.actions)
          if (["Headrace", "Alder", "Ebb & Co", "Gully"].includes(r.team) && !a.closedAt)
            await run(closeAction, teams.get(r.team)!.members[0]!, {
              id: a.id,
              version: a.version,
              evidence: "Done in the newest generation, see its record",
            });
      const [rubric] = await rubricsOf(projectId);
      await run(planReviews, owner, {
        projectId,
        title: "Final review, client present",
        heldOn: day(9, 1),
        rubricId: rubric!.id,
        teamIds: [...teams.values()].map((t) => t.id),
      });
      // What was looked at and tried: the rules without a number.
      const all = await requirementsOf(projectId);
      const latest = new Map((await buildsOf(projectId)).map((b) => [b.team, b]));
      for (const [i, r] of all.filter((x) => x.comparator === "yes").entries())
        for (const [k, t] of story.teams.entries()) {
          const b = latest.get(t.name);
          if (!b || (i + k) % 5 === 4 || (t.name === "Downpour" && i > 1)) continue;
          await run(recordFinding, owner, {
            requirementId: r.id,
            buildId: b.id,
            outcome: (i * 3 + k * 7) % 11 === 5 ? "not met" : "met",
            note: "seen on the bench",
          });
        }
      await run(saveEvent, owner, timedLift(projectId, protocol.id, "4417"));
      await run(saveScheme, owner, {
        projectId,
        baseNumber: 0,
        decimals: 1,
        components: scheme("First review", { protocol: protocol.id, channel: "Q" }, drawing),
      });
      for (const [i, m] of everybody.entries())
        if (i % 9 !== 4)
          await run(enterMark, owner, {
            projectId,
            personId: ids.get(m),
            component: "notebook",
            kind: "mark",
            percent: String(60 + Math.floor(rnd() * 38)),
          });
      await run(publishGrades, owner, { projectId });
    },
  });
  steps.sort((a, b) => (a.when === b.when ? a.order - b.order : a.when < b.when ? -1 : 1));
  for (const s of steps) await s.act();
}

/** The college's project: third week of fourteen, at the choice of concepts. */
async function coldBox(owner: string, start: string): Promise<void> {
  const rnd = random("cold box");
  await at(addDays(start, -2));
  const { projectId, sectionIds } = await run(createProject, owner, {
    title: "Cold Box",
    purpose: "Keep vials at 2 to 8 °C for a travelling animal clinic",
    kind: "client",
    client: "Sunniva Rask, travelling vet",
    currency: "cr",
    startsOn: start,
    endsOn: addDays(start, 95),
    eventOn: addDays(start, 92),
    sections: [{ name: "Capstone", days: [2, 5] }],
  });
  fresh();
  await run(saveBrief, owner, {
    projectId,
    baseNumber: 0,
    body:
      "## Need\n\nA travelling animal clinic carries vaccine vials between farms. They must stay at 2 to 8 " +
      "°C for 10 h at 32 °C outside, and one person carries the box.\n\n## Rules\n\n- At most **4.0 kg** " +
      "with its load.\n- Vials stay between **2 and 8 °C** for **10 h**.\n\n## Safety\n\nDry ice is not " +
      "used. Foam is cut in the workshop only, after the sign-off.\n",
  });
  const names = [
    "Ada Lorentz",
    "Brigid Moyo",
    "Caspian Wolfe",
    "Delphine Ray",
    "Elif Demir",
    "Fredrik Aune",
    "Gwen Parry",
    "Hamid Rezai",
    "Isolde Marsh",
    "Jun Watanabe",
    "Kira Novak",
    "Lev Abramson",
  ];
  const ids = await roster(
    projectId,
    owner,
    names.map((name) => ({ name, section: "Capstone" })),
  );
  const { id: protocol } = await run(saveProtocol, owner, {
    projectId,
    name: "Hold test",
    definition: {
      conditions: [{ key: "Ta", name: "Chamber", unit: "°C", target: "32", tolerance: "1" }],
      measures: [
        { key: "th", name: "Hold time", unit: "h", resolution: "0.1", min: "0", max: "24" },
        { key: "Tmax", name: "Warmest vial", unit: "°C", resolution: "0.1", min: "-5", max: "40" },
      ],
      constants: [],
      derived: [],
      primary: "th",
      better: "more",
      policy: { school: "median", n: 3, foul: "out" },
      safety: ["Ice packs at −18 °C burn skin: gloves."],
    },
  });
  for (const r of [
    requirement(
      projectId,
      "Keeps vials below 8 °C long enough for a day's round",
      "must",
      "constraint",
      `run:${protocol}:th`,
      "≥",
      "h",
      "10",
      "test",
      "Client: “I leave at seven and the last farm is at five.”",
    ),
    requirement(
      projectId,
      "One person carries it",
      "must",
      "constraint",
      "mass",
      "≤",
      "kg",
      "4.0 kg",
      "inspection",
      "Client",
    ),
    requirement(
      projectId,
      "Easy to clean between farms",
      "should",
      "criterion",
      "",
      "",
      "",
      "",
      "",
      "Client, on biosecurity",
    ),
  ])
    await run(saveRequirement, owner, r);
  for (const [i, t] of ["Firn", "Névé", "Serac", "Tarn"].entries()) {
    const { id } = await run(createTeam, owner, { projectId, name: t, sectionId: sectionIds[0] });
    for (const n of names.slice(i * 3, i * 3 + 3))
      await run(moveStudent, owner, { projectId, personId: ids.get(n), teamId: id });
  }
  fresh();
  for (const [i, n] of names.entries()) {
    await at(addDays(start, 11), 10, i * 4);
    const title = [
      "Vacuum panels with a gel core",
      "Phase-change plates at 5 °C",
      "Nested foam shells",
      "Evaporative jacket",
      "Vacuum flask with a wide neck",
      "Phase-change sleeve for each tray",
      "Nested boxes with an air gap",
      "Evaporative lid",
      "Vacuum panels in a rucksack",
      "Phase-change drawer",
      "Nested cork and foil",
      "Evaporative felt on a frame",
    ][i]!;
    await run(saveConcept, ids.get(n)!, {
      projectId,
      title,
      idea: `${title}; the vials sit in the middle of the mass.`,
      mass: `${(2.6 + rnd() * 2.2).toFixed(1)} kg`,
      cost: (30 + rnd() * 50).toFixed(0),
      sides: "400 × 300 × 300 mm",
    });
  }
  await coldBoxFront({ run, at, sketch, as, owner, projectId, ids }, start, rnd);
}

/** Fills the demo so that today lies in week 7 of its first project. */
export async function fillDemo(): Promise<void> {
  today0 = today();
  const start = addDays(mondayOf(today0), -42);
  const first = await createFirstInstructor({ ...story.instructors.owner, password: "a quiet garden pump" });
  if (!first.ok) throw new Error(first.message);
  process.stdout.write("  last year's project\n");
  const before = await lastYear(first.personId, addDays(start, -364));
  process.stdout.write("  this year's project\n");
  await thisYear(first.personId, story.instructors.co, before, start);
  process.stdout.write("  the college's project\n");
  await coldBox(first.personId, addDays(mondayOf(today0), -14));
  await db()`SELECT set_config('ironstone.now', '', false)`;
}
