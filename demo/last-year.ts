import { randomUUID } from "node:crypto";
import { addDays } from "@/core/sessions/date";
import { db } from "@/platform/db/db";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBrief } from "@/stages/brief/commands";
import { saveBuild } from "@/stages/builds/commands/builds";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { confirmEvent, drawRunOrder, saveEvent } from "@/stages/contest/commands/events";
import { checkEvent } from "@/stages/contest/commands/safety";
import { eventsOf } from "@/stages/contest/queries/events";
import { publishGrades } from "@/stages/grades/commands/publish";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { checkMilestone, saveMilestone } from "@/stages/plan/commands/milestones";
import { createSection } from "@/stages/plan/commands/projects";
import { createEdition, finishProject } from "@/stages/records/commands/editions";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { planReviews, saveRubric } from "@/stages/reviews/commands/planning";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { chooseAwards, crowdVotes } from "./crowd";
import { measure, requirement, roster, scheme } from "./helpers";
import { inspectAll } from "./inspections";
import { playJudging } from "./judging";
import { failuresBefore } from "./last-failures";
import { lift, pumpOf, random } from "./model";
import { leakTest, liftTest, timedLift } from "./protocols";
import { rigsOf } from "./rigs";
import { at, fresh, run } from "./run";
import * as story from "./story";
import { playTankRace } from "./tank-race";
import { keepOfLast, partsOfBest } from "./terrace-kept";

/** Last year's project with its rules. */
async function openLast(owner: string, before: string, start: string) {
  const rnd = random("last year");
  await at(addDays(start, -3));
  const { projectId } = await run(createEdition, owner, {
    projectId: before,
    title: "Terrace Pump, last year",
    startsOn: start,
    endsOn: addDays(start, 67),
    eventOn: addDays(start, 67),
    parts: [],
  });
  fresh();
  await run(addDaysOffToProject, owner, { projectId, text: `${addDays(start, 28)} Staff day` });
  await run(createSection, owner, { projectId, name: "5", days: [1, 3, 4] });
  const sections = await db()<{ id: string }[]>`
    SELECT s.id
    FROM section s
    JOIN project_section p ON p.section_id = s.id
    WHERE p.project_id = ${projectId}
    ORDER BY s.name
  `;
  const sectionIds = sections.map((x) => x.id);
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
  return { rnd, projectId, sectionIds, names, ids, protocol };
}

/** Last year's teams and their generations. */
async function buildLast(
  owner: string,
  start: string,
  { projectId, sectionIds, names, ids, protocol, rnd }: Awaited<ReturnType<typeof openLast>>,
) {
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
      if (g === 2 && t.name === "Delta")
        last.set(t.id, await rigsOf(owner, t, projectId, addDays(start, 43), last.get(t.id)!));
      await at(addDays(start, week * 7 + (g % 2)), 10);
      if (g === 0)
        await run(checkMilestone, owner, {
          milestoneId: milestone,
          teamId: t.id,
          doneOn: addDays(start, 15),
        });
      const answered = await failuresBefore(owner, t.name, g, last.get(t.id));
      const b = await run(saveBuild, t.lead, {
        teamId: t.id,
        stage,
        builtOn: addDays(start, week * 7),
        whatChanged: ["First mock-up", "New seal and valve", "Final frame, guided rod"][g],
        why: ["See it move", "Half the water came back", "Less friction"][g],
        mass: `${(3.4 + g * 0.8 + rnd() * 0.5).toFixed(2)} kg`,
        cost: (14 + g * 9 + rnd() * 4).toFixed(2),
        sides: `${570 + Math.round(rnd() * 25)} × 380 × 370 mm`,
        parentIds: [last.get(t.id)].filter((x) => x !== undefined),
        features: g === 0 ? "" : story.lastYear.features[t.name]![g - 1],
        closes: answered,
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
  return { rubricId, teams, milestone, last };
}

/** Last year's reviews, contest and grades. */
async function endLast(
  owner: string,
  start: string,
  { projectId, rnd, protocol }: Awaited<ReturnType<typeof openLast>>,
  { rubricId, teams, milestone }: Awaited<ReturnType<typeof buildLast>>,
) {
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
  let [e] = await eventsOf(projectId);
  await inspectAll(owner, projectId, addDays(start, 67));
  const { cautions, officer } = timedLift(projectId, protocol, "3317");
  await run(checkEvent, owner, { id: event, cautions: cautions.split("\n"), signed: officer });
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
  [e] = await eventsOf(projectId);
  await run(confirmEvent, owner, { id: event, version: e!.version });
  const flow = new Map(teams.map((t) => [t.id as string, t.flow]));
  await playJudging(owner, projectId, addDays(start, 67), rnd, (id) => flow.get(id)!);
  await playTankRace(owner, projectId, addDays(start, 67), rnd, (id) => flow.get(id)!);
  await crowdVotes(owner, projectId, addDays(start, 67), rnd);
  await chooseAwards(owner, projectId);
  await run(saveScheme, owner, {
    projectId,
    baseNumber: 0,
    decimals: 1,
    components: scheme("Final review", { protocol, channel: "Q" }, milestone),
  });
  await run(publishGrades, owner, { projectId });
  await run(finishProject, owner, { projectId });
}

/** Last year's project, finished: its best becomes this year's benchmark line. */
export async function lastYear(owner: string, before: string, start: string): Promise<string> {
  const opened = await openLast(owner, before, start);
  const built = await buildLast(owner, start, opened);
  const newest = new Map(built.teams.map((t) => [t.name, { team: t.id, build: built.last.get(t.id)! }]));
  const parts = await partsOfBest(owner, newest.get("Adze")!.build);
  await endLast(owner, start, opened, built);
  await keepOfLast(owner, opened.projectId, newest, parts, addDays(start, 67));
  return opened.projectId;
}
