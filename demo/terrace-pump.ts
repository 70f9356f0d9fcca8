import { addDays } from "@/core/sessions/date";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { saveBrief } from "@/stages/brief/commands";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { addCoInstructor } from "@/stages/people/commands/guests";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { saveMilestone } from "@/stages/plan/commands/milestones";
import { createEdition } from "@/stages/records/commands/editions";
import { dates, requirement, roster } from "./helpers";
import { random } from "./model";
import { at, fresh, run } from "./run";
import * as story from "./story";
import { gaugeOfTerrace } from "./terrace-gauge";
import { piecesOfTerrace } from "./terrace-pieces";
import { primingOfTerrace } from "./terrace-priming";
import { sealsOfTerrace } from "./terrace-seals";
import { gatesOfTerrace, teamsOfTerrace, workOfTerrace } from "./terrace-work";

/** The project of this year, from last year's edition, with its roster and brief. */
export async function openTerrace(
  owner: string,
  co: { name: string; email: string },
  before: string,
  start: string,
  eventOn?: string,
) {
  const rnd = random("terrace pump");
  const day = (week: number, d: number) => addDays(start, (week - 1) * 7 + d);
  await at(addDays(start, -4));
  const { projectId } = await run(createEdition, owner, {
    projectId: before,
    title: "Terrace Pump",
    startsOn: start,
    endsOn: eventOn && eventOn > day(10, 4) ? eventOn : day(10, 4),
    eventOn: eventOn ?? day(10, 4),
    // This year's plan, event and grades are told below.
    parts: ["brief", "requirements", "protocols", "rubrics", "tools", "questions"],
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
  return { rnd, day, projectId, ids, protocol, leak };
}

/** What the class turned the client's words into. */
async function askTerrace(owner: string, { projectId, protocol }: Awaited<ReturnType<typeof openTerrace>>) {
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
}

/** Vague words become numbers; the first milestones. */
export async function changeTerrace(owner: string, { projectId, day }: Awaited<ReturnType<typeof openTerrace>>) {
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
  return { change, drawing };
}

/** This year's project, in its seventh week of ten. */
export async function thisYear(
  owner: string,
  co: { name: string; email: string },
  before: string,
  start: string,
  /** The day of the contest, where it is not the last Friday. */
  eventOn?: string,
): Promise<string> {
  const opened = await openTerrace(owner, co, before, start, eventOn);
  await askTerrace(owner, opened);
  const changed = await changeTerrace(owner, opened);
  const formed = await teamsOfTerrace(owner, start, opened, changed);
  const worked = await workOfTerrace(owner, formed, opened);
  await gatesOfTerrace(owner, worked, opened, changed, formed);
  sealsOfTerrace(owner, worked, opened, formed);
  primingOfTerrace(owner, worked, opened, formed);
  gaugeOfTerrace(worked, opened, formed);
  piecesOfTerrace(owner, worked, opened, formed);
  const { steps } = worked;
  steps.sort((a, b) => (a.when === b.when ? a.order - b.order : a.when < b.when ? -1 : 1));
  for (const s of steps) await s.act();
  return opened.projectId;
}
