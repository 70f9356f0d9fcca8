import { randomUUID } from "node:crypto";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { recordRun, voidRun } from "@/stages/bench/commands/runs";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { acknowledgeBrief, saveBrief } from "@/stages/brief/commands";
import { briefVersions } from "@/stages/brief/queries";
import { addPhoto, saveBuild } from "@/stages/builds/commands/builds";
import { saveFailure } from "@/stages/builds/commands/failures";
import { savePartLine } from "@/stages/builds/commands/parts";
import { buildById, buildsBefore } from "@/stages/builds/queries/builds";
import { saveConcept } from "@/stages/concepts/commands/concepts";
import { saveEvent } from "@/stages/contest/commands/events";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { staffOf } from "@/stages/people/queries/students";
import { checkMilestone } from "@/stages/plan/commands/milestones";
import { addAction, closeAction } from "@/stages/reviews/commands/actions";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { planReviews } from "@/stages/reviews/commands/planning";
import { reviewsOf, rubricsOf } from "@/stages/reviews/queries/reviews";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { allowParts } from "./allowed";
import { chooseAwards } from "./crowd";
import { setUpExactFill } from "./exact-fill";
import * as record from "./failures";
import { lookAt } from "./findings";
import * as generations from "./generations";
import { begin, dates, measure, scheme, sketch } from "./helpers";
import { setUpJudging } from "./judging";
import { pumpOf } from "./model";
import { planTheDay } from "./programme";
import { liftTest, timedLift } from "./protocols";
import { as, at, fresh, run } from "./run";
import * as story from "./story";
import { setUpTankRace } from "./tank-race";
import { terraceFront } from "./terrace-front";
import { gradeTerrace } from "./terrace-grades";
import { markTerrace } from "./terrace-marks";
import type { changeTerrace, openTerrace } from "./terrace-pump";
import { agreed, designReview } from "./terrace-reviews";
import { testAndTell } from "./terrace-stories";

type Step = { when: string; order: number; act: () => Promise<void> };

/** Concepts, teams and who has read the brief. */
export async function teamsOfTerrace(
  owner: string,
  start: string,
  { day, projectId, ids, rnd, leak }: Awaited<ReturnType<typeof openTerrace>>,
  { drawing }: Awaited<ReturnType<typeof changeTerrace>>,
) {
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
  return { teams, everybody, readers, versionOf, leakVersion };
}

/** Builds and tests in the order in which they happened. */
export async function workOfTerrace(
  owner: string,
  { teams, versionOf, leakVersion }: Awaited<ReturnType<typeof teamsOfTerrace>>,
  { day, protocol, rnd, projectId }: Awaited<ReturnType<typeof openTerrace>>,
) {
  const steps: Step[] = [];
  const newest = new Map<string, string>();
  const older = new Map<string, string>();
  const toAnswer = new Map<string, string[]>();
  const made = new Map<string, number>();
  for (const [i, g] of generations.gens.entries()) {
    const team = teams.get(g.team)!;
    made.set(g.team, (made.get(g.team) ?? 0) + 1);
    const name = `${g.team} G${made.get(g.team)}`;
    let photo: string | undefined;
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
            dropped: g.dropped ?? "",
            makerId: g.maker === undefined ? undefined : team.members[g.maker],
            fromEdition: (await buildsBefore(projectId)).find((b) => b.name === g.fromLastYear)?.id,
            parentIds: [newest.get(g.team), newest.get(g.joins ?? ""), g.merges && older.get(g.team)].filter(
              (x): x is string => !!x,
            ),
            closes: toAnswer.get(g.team) ?? [],
          })
        ).id;
        older.set(g.team, newest.get(g.team) ?? "");
        newest.set(g.team, id);
        toAnswer.delete(g.team);
        for (const [part, count, mass, cost, source] of record.parts[name] ?? [])
          await run(savePartLine, lead, { buildId: id, name: part, count, mass, cost, source });
        if (g.stage === "prototype")
          photo = (
            await run(addPhoto, lead, {
              buildId: id,
              caption: `${g.team}, ${g.changed.toLowerCase()}`,
              base64: await sketch(`${g.team} prototype`, 20 + i * 9),
            })
          ).id;
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
          await begin(recorder, id, leakVersion);
          await run(recordRun, recorder, {
            id: randomUUID(),
            buildId: id,
            protocolVersionId: leakVersion,
            readings: { leak: `${value} mL` },
            conditions: {},
          });
        },
      });
    for (const f of record.failures[name] ?? [])
      steps.push({
        when: day(g.runs.at(-1)!.week, g.runs.at(-1)!.day),
        order: 250 + i,
        act: async () => {
          await at(day(g.runs.at(-1)!.week, g.runs.at(-1)!.day), 14, i);
          const pin = photo && f.pin ? { photoId: photo, pinX: f.pin[0], pinY: f.pin[1] } : {};
          const { mode, place, cause, severity, next } = f;
          const failed = await run(saveFailure, recorder, {
            buildId: id,
            mode,
            place,
            cause,
            severity,
            nextStep: next,
            ...pin,
          });
          if (f.answered) toAnswer.set(g.team, [...(toAnswer.get(g.team) ?? []), failed.id]);
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
            good: g.good ?? "",
            notGood: g.notGood ?? "",
            dropped: g.dropped ?? "",
            parentIds: b.parents,
            makerId: b.makerId ?? undefined,
            fromEdition: b.fromEdition ?? undefined,
          });
        },
      });
  }
  return { steps };
}

/** What happened to everybody */
export async function gatesOfTerrace(
  owner: string,
  { steps }: Awaited<ReturnType<typeof workOfTerrace>>,
  { day, projectId, protocol, rnd, ids }: Awaited<ReturnType<typeof openTerrace>>,
  { change, drawing }: Awaited<ReturnType<typeof changeTerrace>>,
  { readers, teams, everybody }: Awaited<ReturnType<typeof teamsOfTerrace>>,
) {
  // The drawings are reviewed before material is cut.
  steps.push({
    when: day(2, 3),
    order: 2000,
    act: async () => {
      await at(day(2, 3), 8);
      const co = (await staffOf(projectId)).find((x) => x.role === "co")!.id;
      await designReview(
        owner,
        co,
        projectId,
        [...teams.values()].map((t) => t.id),
        day(2, 3),
      );
    },
  });
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
      const first = (await reviewsOf(projectId)).filter((r) => r.title === "First review");
      for (const [i, r] of first.entries()) {
        await at(day(5, 3), 10, i * 6);
        const skill = generations.gens.filter((g) => g.team === r.team && g.week <= 5).at(-1)!.runs[0]!.flow / 6.5;
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
            what: agreed[r.team] ?? "Show the leak test",
            changesDesign: ["Headrace", "Downpour"].includes(r.team),
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
      await testAndTell(owner, projectId, teams, day(7, 0));
      const [rubric] = await rubricsOf(projectId);
      await run(planReviews, owner, {
        projectId,
        kind: "final",
        takesPart: "the client, two reviewers, the instructor, the team",
        title: "Final review, client present",
        heldOn: day(9, 1),
        rubricId: rubric!.id,
        teamIds: [...teams.values()].map((t) => t.id),
      });
      await lookAt(owner, projectId);
      await run(saveEvent, owner, timedLift(projectId, protocol.id, "4417"));
      await setUpExactFill(owner, projectId, "4419");
      await setUpTankRace(owner, projectId, "4418");
      await setUpJudging(owner, projectId, "4420");
      await allowParts(owner, projectId);
      await planTheDay(owner, projectId);
      await chooseAwards(owner, projectId);
      await run(saveScheme, owner, {
        projectId,
        baseNumber: 0,
        decimals: 1,
        components: scheme("First review", { protocol: protocol.id, channel: "Q" }, drawing, "20"),
      });
      const marked = everybody.filter((_, i) => i % 9 !== 4);
      const percent = () => 60 + Math.floor(rnd() * 38);
      const marks = marked.map((m) => ({ personId: ids.get(m)!, percent: percent() }));
      await markTerrace(owner, projectId, marks);
      await gradeTerrace(owner, projectId, {
        teams: [...teams].map(([name, t]) => ({ name, members: t.members })),
        measure: { protocol: protocol.id, channel: "Q" },
        drawing,
      });
    },
  });
}
