import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { usualWeights } from "@/core/teams/problem";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { recordRun } from "@/stages/bench/commands/runs";
import { checkSafety } from "@/stages/bench/commands/safety";
import { addBlocks, openSeries } from "@/stages/bench/commands/series";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { packed } from "@/stages/bench/view/samples";
import { saveBrief, saveChallenge } from "@/stages/brief/commands";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveFailure } from "@/stages/builds/commands/failures";
import { savePartLine } from "@/stages/builds/commands/parts";
import { markPiece, savePiece } from "@/stages/builds/commands/pieces";
import { saveConcept } from "@/stages/concepts/commands/concepts";
import { openSelection } from "@/stages/concepts/commands/selection";
import { saveEvent } from "@/stages/contest/commands/events";
import { eventsOf } from "@/stages/contest/queries/events";
import { openPeerRound, setPeerRound } from "@/stages/grades/commands/peers";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { attachUse } from "@/stages/handbook/commands/uses";
import { openSource, writeNote } from "@/stages/needs/commands/notes";
import { draftQuestion } from "@/stages/needs/commands/questions";
import { askChange } from "@/stages/needs/commands/register";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { saveStatement } from "@/stages/needs/commands/statements";
import { writeEntry } from "@/stages/notebook/commands";
import { askCountersign } from "@/stages/notebook/countersigned";
import { addEntryPicture } from "@/stages/notebook/pictures";
import { remarkOnEntry } from "@/stages/notebook/reading";
import { importRoster } from "@/stages/people/commands/roster";
import { studentsOf } from "@/stages/people/queries/students";
import { addExtraSession } from "@/stages/plan/commands/calendar";
import { addDaysOffToProject } from "@/stages/plan/commands/days-off";
import { addGateItem, setGate } from "@/stages/plan/commands/gates";
import { saveMilestone } from "@/stages/plan/commands/milestones";
import { createProject } from "@/stages/plan/commands/projects";
import { saveTask } from "@/stages/plan/commands/tasks";
import { addAction } from "@/stages/reviews/commands/actions";
import { askQuestion } from "@/stages/reviews/commands/asking";
import { planReviews, saveRubric } from "@/stages/reviews/commands/planning";
import { addTopics, editTopic } from "@/stages/reviews/commands/report";
import { saveSlots } from "@/stages/reviews/commands/slots";
import { saveStory } from "@/stages/reviews/commands/story";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { slotsOf } from "@/stages/reviews/queries/slots";
import { topicsOf } from "@/stages/reviews/queries/story";
import { saveTool } from "@/stages/shop/commands/tools";
import { addConstraint, saveTeamPlan } from "@/stages/teams/commands/forming";
import { savePart } from "@/stages/teams/commands/parts";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { putAside } from "@/stages/today/commands/aside";
import { markAttendance, planClass } from "@/stages/today/commands/classes";
import { ok } from "./database";
import { definition } from "./definition";
import { picture } from "./picture";
import { aJudging, aRace } from "./world-contest";
import { aRecord } from "./world-records";
import { aShop } from "./world-shop";

/** A chapter of the world's story. */
export const chapter = { key: "own 1", heading: "How it began", text: "With a lever." };

/** How the world's first review is put into slots. */
export const slotsTyped = {
  minutes: 20,
  change: 0,
  rooms: ["Workshop"],
  least: 1,
  most: 2,
  days: [{ day: "2027-02-25", hours: "8:30-9:30" }],
  reviewers: [{ name: "Ida" }, { name: "Ben", hours: ["8:50-9:30"] }],
};

/** What is put into a calculator of the handbook. */
export const calculation = { calculator: "lever", units: "metric", inputs: { F1: "40 N", a: "60 cm" } };

export const rubric = [
  {
    key: "fit",
    name: "Fit",
    weight: "1",
    levels: [
      { points: "0", descriptor: "no" },
      { points: "4", descriptor: "yes" },
    ],
  },
];

export type World = Awaited<ReturnType<typeof makeProject>>;

/** A project with two teams and one of every kind of record. */
export async function makeProject(owner: Actor, title: string) {
  const { projectId, slug, sectionIds } = await ok(createProject, owner, {
    title,
    kind: "both",
    startsOn: "2027-01-18",
    endsOn: "2027-03-26",
    eventOn: "2027-03-26",
    currency: "cr",
    sections: [{ name: "3", days: [1, 2, 4] }],
  });
  const boss = await actorOf((owner as { id: string }).id);
  await ok(saveBrief, boss, { projectId, baseNumber: 0, body: "## Need\n\nWater." });
  await ok(importRoster, boss, {
    projectId,
    rows: ["Ada Quill", "Ben Stone", "Cai Reed"].map((name) => ({ name: `${name} of ${title}`, section: "3" })),
  });
  const pupils = await studentsOf(projectId);
  const a = (await ok(createTeam, boss, { projectId, name: "Alder", sectionId: sectionIds[0] })).id;
  const b = (await ok(createTeam, boss, { projectId, name: "Bramble", sectionId: sectionIds[0] })).id;
  const race = { ...(await aRace(boss, projectId)), ...(await aJudging(boss, projectId)) };
  await ok(moveStudent, boss, { projectId, personId: pupils[0]!.id, teamId: a, role: "lead" });
  await ok(moveStudent, boss, { projectId, personId: pupils[1]!.id, teamId: b, role: "lead" });
  const protocol = (await ok(saveProtocol, boss, { projectId, name: "Lift test", definition })).id;
  await ok(checkSafety, boss, { projectId, protocolId: protocol, cautions: definition.safety });
  const flow = (
    await ok(saveRequirement, boss, {
      projectId,
      statement: "Moves 7.5 L/min",
      kind: "criterion",
      priority: "must",
      measure: `run:${protocol}:Q`,
      comparator: "≥",
      unit: "L/min",
      target: "7.5",
      method: "test",
    })
  ).id;
  const mass = (
    await ok(saveRequirement, boss, {
      projectId,
      statement: "At most 5 kg",
      kind: "constraint",
      priority: "must",
      measure: "mass",
      comparator: "≤",
      unit: "kg",
      target: "5 kg",
      method: "inspection",
    })
  ).id;
  const seen = (
    await ok(saveRequirement, boss, {
      projectId,
      statement: "Has no sharp edge",
      kind: "constraint",
      priority: "must",
      comparator: "yes",
      method: "inspection",
    })
  ).id;
  const build = (
    await ok(saveBuild, boss, {
      teamId: a,
      stage: "prototype",
      builtOn: "2027-02-20",
      whatChanged: "First",
      mass: "4.4 kg",
      sides: "590 × 380 × 390 mm",
      variables: "stroke = 0.25 m",
    })
  ).id;
  const otherBuild = (
    await ok(saveBuild, boss, { teamId: b, stage: "prototype", builtOn: "2027-02-20", whatChanged: "First" })
  ).id;
  const versionId = (await protocolsOf(projectId))[0]!.versionId;
  const run = randomUUID();
  await ok(recordRun, boss, {
    id: run,
    buildId: build,
    protocolVersionId: versionId,
    readings: { m: "8.6" },
    conditions: { h: "1.60" },
  });
  const rubricId = (await ok(saveRubric, boss, { projectId, name: "Design", criteria: rubric })).id;
  await ok(planReviews, boss, {
    projectId,
    title: "First review",
    heldOn: "2027-02-25",
    rubricId,
    teamIds: [a],
  });
  const review = (await reviewsOf(projectId))[0]!.id;
  const slotPlan = (
    await ok(saveSlots, boss, {
      projectId,
      title: "First review",
      ...slotsTyped,
      teams: [],
      places: [{ reviewId: review, day: "2027-02-25", from: "8:30", room: 0, reviewers: ["Ida"] }],
    })
  ).id;
  const slot = (await slotsOf(projectId))[0]!.id;
  const story = (await ok(saveStory, boss, { projectId, teamId: a, title: "Ours", chapters: [chapter] })).id;
  await ok(addTopics, boss, { projectId, titles: ["Levers"] });
  const topic = (await topicsOf(projectId))[0]!.id;
  await ok(editTopic, boss, { id: topic, version: 1, title: "Levers", teamId: a });
  const reviewQuestion = (await ok(askQuestion, boss, { reviewId: review, question: "What leaks?" })).id;
  const action = (await ok(addAction, boss, { reviewId: review, what: "Mend the seal", dueOn: "2027-03-01" })).id;
  const milestone = (await ok(saveMilestone, boss, { projectId, title: "Drawing", dueOn: "2027-02-01", scope: "team" }))
    .id;
  const spare = (
    await ok(saveMilestone, boss, { projectId, title: "Model", dueOn: "2027-04-01", scope: "team", meant: true })
  ).id;
  await ok(addDaysOffToProject, boss, { projectId, text: "2027-02-15 Staff day" });
  const [off] = await db()<{ id: string }[]>`SELECT id FROM day_off WHERE project_id = ${projectId}`;
  await ok(saveScheme, boss, {
    projectId,
    baseNumber: 0,
    decimals: 1,
    components: [
      { key: "review", name: "Review", weight: "40", source: { kind: "rubric", review: "First review" } },
      {
        key: "flow",
        name: "Performance",
        weight: "30",
        source: {
          kind: "points",
          full: "100",
          measure: { protocol, channel: "Q" },
          rule: {
            kind: "line",
            anchors: [
              { at: "4", points: "0" },
              { at: "9", points: "100" },
            ],
          },
        },
      },
      { key: "drawing", name: "Drawing", weight: "10", source: { kind: "milestone", milestone } },
      { key: "notebook", name: "Notebook", weight: "20", source: { kind: "entered" } },
    ],
  });
  const peerRound = (await ok(openPeerRound, boss, { projectId, title: "Halfway", method: "ratings" })).id;
  await ok(setPeerRound, boss, { id: peerRound, version: 1, open: false });
  const event = (
    await ok(saveEvent, boss, {
      projectId,
      name: "Timed lift",
      protocolId: protocol,
      channel: "Q",
      better: "more",
      school: "best",
      n: 3,
      foul: "out",
      ranking: "competition",
      ties: "resolution",
      resolution: "0.1",
      tieBreaks: ["second"],
      seed: "1",
    })
  ).id;
  const entries = (await eventsOf(projectId))[0]!.entries;
  const concept = (await ok(saveConcept, boss, { projectId, title: "Piston" })).id;
  const concept2 = (await ok(saveConcept, boss, { projectId, title: "Bellows" })).id;
  const [mate] = [(await actorOf(pupils[0]!.id)) as Actor];
  const challenge = (
    await ok(saveChallenge, boss, {
      projectId,
      title: "Paper bridge",
      heldOn: "2027-01-18",
      measure: "Load",
      unit: "g",
      resolution: "1",
    })
  ).id;
  const [question, question2] = [
    (await ok(draftQuestion, mate, { projectId, text: "How heavy may it be?" })).id,
    (await ok(draftQuestion, boss, { projectId, text: "What may it weigh?" })).id,
  ];
  const source = (
    await ok(openSource, boss, { projectId, kind: "interview", title: "Interview 1", heldOn: "2027-01-21" })
  ).id;
  const note = randomUUID();
  await ok(writeNote, mate, {
    id: note,
    sourceId: source,
    questionId: question,
    text: "I carry it up the steps.",
  });
  const [statement, statement2] = [
    (
      await ok(saveStatement, mate, {
        projectId,
        text: "Light enough to carry up the steps",
        noteIds: [note],
      })
    ).id,
    (await ok(saveStatement, boss, { projectId, text: "She carries it up the steps" })).id,
  ];
  const change = (
    await ok(askChange, mate, {
      projectId,
      requirementId: mass,
      what: "5.5 kg instead of 5 kg",
      reason: "The frame",
    })
  ).id;
  const selection0 = (
    await ok(openSelection, boss, {
      projectId,
      title: "First choice",
      school: "panel",
      conceptIds: [concept, concept2],
      criteria: [{ key: "fit", name: "Fit", weight: 1 }],
    })
  ).id;
  const constraint = (
    await ok(addConstraint, boss, { projectId, kind: "apart", people: [pupils[0]!.id, pupils[2]!.id] })
  ).id;
  const setup = { min: 1, max: 3, teams: 0, conceptIds: [], sectionIds: [], weights: usualWeights };
  const teamPlan = (
    await ok(saveTeamPlan, boss, {
      projectId,
      name: "First",
      seed: "1",
      setup,
      assignment: { [pupils[0]!.id]: a, [pupils[1]!.id]: b, [pupils[2]!.id]: b },
    })
  ).id;
  const part = (await ok(savePart, boss, { teamId: a, name: "Valve", owners: [pupils[0]!.id] })).id;
  const task = (await ok(saveTask, boss, { projectId, title: "Draw the lever", length: 2 })).id;
  const extra = (await ok(addExtraSession, boss, { projectId, onDate: "2027-06-05" })).id;
  const gate = (
    await ok(saveMilestone, boss, { projectId, title: "Gate", dueOn: "2027-05-01", scope: "team", meant: true })
  ).id;
  await ok(setGate, boss, { milestoneId: gate, stage: "final" });
  const gateItem = (await ok(addGateItem, boss, { milestoneId: gate, kind: "each", label: "Own drawing" })).id;
  const tool = (await ok(saveTool, boss, { projectId, name: "Drill press" })).id;
  const failure = (await ok(saveFailure, mate, { buildId: build, mode: "The drum split", severity: "stop" })).id;
  const partLine = (await ok(savePartLine, mate, { buildId: build, name: "Drum", count: 2, mass: "120 g", cost: "3" }))
    .id;
  const piece = (await ok(savePiece, mate, { buildId: build, name: "Side 1", nominal: "300 mm", tolerance: "0.5 mm" }))
    .id;
  await ok(markPiece, mate, { id: piece, step: "drawn", on: true });
  const aside = (
    await ok(putAside, boss, { teamId: a, kind: "flat", about: "5", reason: "the best is not better", note: "Talked" })
  ).id;
  const on = { projectId, sectionId: sectionIds[0]!, onDate: "2027-03-01" };
  await ok(planClass, boss, { ...on, version: 0, purpose: "Bench", agenda: "10 Plan" });
  await ok(markAttendance, boss, { ...on, personId: pupils[2]!.id, state: "late", minutes: 5 });
  const entryOfNotebook = randomUUID();
  await ok(writeEntry, mate, {
    id: entryOfNotebook,
    projectId,
    personId: pupils[0]!.id,
    text: "The seal leaked.",
  });
  const entryPicture = { entryId: entryOfNotebook, caption: "Seal", base64: await picture("#68a") };
  const { id: pictureOfEntry } = await ok(addEntryPicture, mate, entryPicture);
  const sign = randomUUID();
  await ok(askCountersign, mate, { id: sign, entryId: entryOfNotebook, partnerId: pupils[1]!.id });
  const shop = await aShop(boss, mate, projectId, a);
  const records = await aRecord(boss, { projectId, team: a, build });
  const remark = randomUUID();
  await ok(remarkOnEntry, boss, { id: remark, entryId: entryOfNotebook, text: "Where exactly?" });
  const use = randomUUID();
  await ok(attachUse, mate, { ...calculation, id: use, kind: "build", targetId: build });
  const series = randomUUID();
  await ok(openSeries, mate, {
    id: series,
    buildId: build,
    protocolVersionId: versionId,
    key: "m",
    source: "scale.csv",
  });
  await ok(addBlocks, mate, { seriesId: series, blocks: [{ number: 0, samples: packed([0, 1, 2], [2, 5, 3]) }] });
  const [safetyCheck] = await db()<{ id: string }[]>`
    SELECT id FROM safety_check WHERE project_id = ${projectId} AND team_id = ${a}
  `;
  return {
    safetyCheck: safetyCheck!.id,
    series,
    concept2,
    challenge,
    question,
    question2,
    source,
    note,
    statement,
    statement2,
    change,
    selection: selection0,
    constraint,
    teamPlan,
    part,
    task,
    extra,
    gate,
    gateItem,
    tool,
    failure,
    partLine,
    piece,
    aside,
    entryOfNotebook,
    picture: pictureOfEntry,
    sign,
    remark,
    ...shop,
    ...records,
    use,
    projectId,
    slug,
    section: sectionIds[0]!,
    students: pupils.map((s) => s.id),
    names: pupils.map((s) => s.name),
    a,
    b,
    protocol,
    versionId,
    flow,
    mass,
    seen,
    build,
    otherBuild,
    run,
    rubricId,
    review,
    slotPlan,
    slot,
    reviewQuestion,
    story,
    topic,
    action,
    milestone,
    peerRound,
    spare,
    off: off!.id,
    event,
    ...race,
    entry: entries.find((e) => e.teamId === a)!.id,
    concept,
  };
}
