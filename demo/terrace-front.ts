import { randomUUID } from "node:crypto";
import { saveSettings } from "@/platform/project/save-settings";
import { addSketch, claimMust } from "@/stages/concepts/commands/concepts";
import { closeSelection, openSelection, rateConcepts } from "@/stages/concepts/commands/selection";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { mustsOf } from "@/stages/concepts/view/concepts";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { amendEntry, writeEntry } from "@/stages/notebook/commands";
import { addGateItem, setGate, signGate, tickGate } from "@/stages/plan/commands/gates";
import { saveMilestone } from "@/stages/plan/commands/milestones";
import { finishTask, saveTask } from "@/stages/plan/commands/tasks";
import { saveTool, signTool } from "@/stages/shop/commands/tools";
import { drawSelectionOrder, setTeamConcept } from "@/stages/teams/commands/choosing";
import { savePart } from "@/stages/teams/commands/parts";
import { teamsOf } from "@/stages/teams/queries/teams";
import type { Stage } from "./front";
import { askOdile, openQuestions, statementsOfTerrace } from "./terrace-needs";

/** Concepts against the musts, then the client's choice. */
async function chooseConcepts(
  s: Stage,
  day: (week: number, d: number) => string,
  { projectId, owner }: Awaited<ReturnType<typeof askOdile>>,
  { odile }: Awaited<ReturnType<typeof openQuestions>>,
) {
  // Concepts: opened, screened, chosen by the client with her reasons.
  await s.at(day(2, 4), 14);
  const all = await conceptsOf(projectId, await s.as(owner));
  const musts = mustsOf(await requirementsOf(projectId));
  for (const [i, k] of all.entries()) {
    for (const m of musts
      .filter((x) => !["mass", "cost", "envelope"].includes(x.measure ?? ""))
      .slice(0, i % 3 === 0 ? 5 : 6))
      await s.run(claimMust, k.authorId!, {
        conceptId: k.id,
        requirementId: m.id,
        says: (i + m.code.charCodeAt(3)) % 9 === 0 ? "unsure" : "yes",
        how: m.statement.includes("power")
          ? "no electricity anywhere"
          : m.statement.startsWith("Leaks")
            ? "seals above the water line"
            : m.statement.startsWith("One operator")
              ? "one lever, one hand"
              : "by its stroke and bore",
      });
    if (i % 4 === 0)
      await s.run(addSketch, k.authorId!, {
        conceptId: k.id,
        base64: await s.sketch(k.title, 24 + i * 9),
        caption: "Pencil sketch",
      });
  }
  await s.run(saveSettings, owner, { projectId, conceptsOpen: true });
  await s.at(day(3, 0), 11);
  const first = new Map<string, (typeof all)[number]>();
  for (const k of all) if (k.team && !first.has(k.team)) first.set(k.team, k);
  const going = [...first.values()].map((k) => k.id);
  const { id: choice } = await s.run(openSelection, owner, {
    projectId,
    title: "Client's choice",
    school: "client",
    conceptIds: all.map((k) => k.id),
    keep: going.length,
  });
  const words = [
    "simple to mend, and I see how it works",
    "nothing in it can rust",
    "it would water two beds at once",
    "no valves, so nothing to leak: I want to see it",
    "a bellows has no sliding seal",
    "a brave idea; show me that it starts",
    "the neighbours could use it with one hand",
    "quiet, by the look of it",
  ];
  await s.run(rateConcepts, odile, {
    selectionId: choice,
    marks: { chosen: going, reasons: Object.fromEntries(going.map((g, i) => [g, words[i % words.length]!])) },
  });
  await s.at(day(3, 0), 12);
  await s.run(closeSelection, owner, {
    id: choice,
    version: 1,
    going,
    reasons: Object.fromEntries(
      all
        .filter((k) => !going.includes(k.id))
        .map((k) => [k.id, "Another idea of the team goes on; this one stays on record"]),
    ),
  });
  return { first };
}

/** Tools, the gate, parts, the selection order. */
async function readyForMaterial(
  s: Stage,
  day: (week: number, d: number) => string,
  { owner, projectId }: Awaited<ReturnType<typeof askOdile>>,
  { first }: Awaited<ReturnType<typeof chooseConcepts>>,
) {
  // Ready for material: tools, the gate, parts.
  await s.at(day(3, 1), 9);
  const tools: string[] = [];
  for (const [name, caution] of [
    ["Drill press", "Hair tied, no gloves, the work clamped; an adult stands by."],
    ["Hot glue gun", "200 °C at the tip. Lay it in its stand, never on the table."],
    ["Hacksaw", "Clamp the work; saw away from the holding hand."],
  ] as const)
    tools.push((await s.run(saveTool, owner, { projectId, name, caution })).id);
  const teams = await teamsOf(projectId);
  for (const t of teams)
    if (first.has(t.name)) await s.run(setTeamConcept, owner, { id: t.id, conceptId: first.get(t.name)!.id });
  for (const t of teams)
    for (const [i, m] of t.members.entries()) {
      if (i < 2) await s.run(signTool, owner, { toolId: tools[0], personId: m.id, on: true });
      if (t.name !== "Headrace" || i === 0)
        await s.run(signTool, owner, { toolId: tools[1], personId: m.id, on: true });
    }
  const { id: gate } = await s.run(saveMilestone, owner, {
    projectId,
    title: "Gate before material",
    dueOn: day(4, 0),
    scope: "team",
  });
  await s.run(setGate, owner, { milestoneId: gate, stage: "proof of concept" });
  const items: Record<string, string> = {};
  for (const [key, input] of [
    ["drawing", { kind: "each", label: "Own drawing handed in" }],
    ["model", { kind: "team", label: "Model complete" }],
    ["list", { kind: "team", label: "Materials list" }],
    ["tool", { kind: "tool", toolId: tools[0], needs: 2 }],
    ["musts", { kind: "coverage", needs: 60 }],
  ] as const)
    items[key] = (await s.run(addGateItem, owner, { milestoneId: gate, ...input })).id;
  for (const [i, t] of teams.entries()) {
    await s.at(day(3, 3), 10, i * 3);
    for (const [k, m] of t.members.entries())
      if (t.name !== "Headrace" || k < 1)
        await s.run(tickGate, m.id, { itemId: items.drawing, personId: m.id, on: true });
    if (t.name === "Headrace") continue;
    await s.run(tickGate, owner, { itemId: items.model, teamId: t.id, on: true });
    if (t.name !== "Freshet") await s.run(tickGate, owner, { itemId: items.list, teamId: t.id, on: true });
    await s.at(day(3, 4), 14, i * 3);
    await s.run(signGate, owner, { milestoneId: gate, teamId: t.id, on: true });
  }
  await s.at(day(3, 2), 10);
  const pieces = [
    ["Cylinder", "mechanical"],
    ["Piston and seal", "mechanical"],
    ["Lever and pivot", "mechanical"],
    ["Valves", "lead"],
    ["Frame", "tests"],
    ["Hose and outlet", "records"],
    ["Handle", "records"],
  ] as const;
  for (const [ti, t] of teams.slice(0, 4).entries())
    for (const [i, [name, role]] of pieces.entries())
      await s.run(savePart, t.members[0]!.id, {
        teamId: t.id,
        name,
        role,
        owners: ti === 1 && i === 4 ? [] : [t.members[(ti === 3 && i < 4 ? 0 : i) % t.members.length]!.id],
      });
  await s.at(day(3, 0), 13);
  await s.run(drawSelectionOrder, owner, { projectId, seed: "2718" });
}

/** The plan as a network and the notebooks. */
async function planAndNotebooks(
  s: Stage,
  day: (week: number, d: number) => string,
  { projectId, owner, who }: Awaited<ReturnType<typeof askOdile>>,
) {
  // The plan, and notebooks.
  await s.at(day(1, 0), 14);
  const taskIds = new Map<string, string>();
  const milestones = new Map(
    (await (await import("@/stages/plan/queries/milestones")).milestonesOf(projectId)).map((m) => [m.title, m.id]),
  );
  for (const [title, length, after, to, begins] of [
    ["Interview the client", 2, [], null, day(1, 1)],
    ["Agree on the register", 2, ["Interview the client"], null, null],
    ["Sketch and choose concepts", 3, ["Agree on the register"], "Drawing handed in", null],
    ["Mock-ups", 4, ["Sketch and choose concepts"], null, null],
    ["Proof of concept", 4, ["Mock-ups"], null, null],
    ["Prototype", 6, ["Proof of concept"], null, null],
    ["Write the manual", 2, ["Proof of concept"], null, null],
    ["Final build", 3, ["Prototype"], null, null],
    ["Rehearse the contest", 1, ["Final build"], null, null],
  ] as const)
    taskIds.set(
      title,
      (
        await s.run(saveTask, owner, {
          projectId,
          title,
          length,
          after: after.map((a) => taskIds.get(a)!),
          milestoneId: to ? milestones.get(to) : undefined,
          notBefore: begins ?? undefined,
        })
      ).id,
    );
  for (const [title, on] of [
    ["Interview the client", day(2, 0)],
    ["Agree on the register", day(2, 3)],
    ["Sketch and choose concepts", day(3, 0)],
    ["Mock-ups", day(4, 3)],
    ["Proof of concept", day(6, 0)],
  ] as const) {
    await s.at(on, 15);
    await s.run(finishTask, owner, { id: taskIds.get(title)!, doneOn: on });
  }
  const wrote = [
    [
      "Amara Diallo",
      4,
      1,
      "Second cylinder mounted. Both valves must open in turn: we marked the lever at the middle. 5.5 L/min at best.",
    ],
    [
      "Amara Diallo",
      6,
      1,
      "Flap valves cut from an inner tube. 7.9 L/min. The rod rubs at the top of the stroke: guide it next.",
    ],
    ["Greta Malik", 4, 3, "Corks jam. They were dry yesterday and measured 22 mm; today 24 mm. Try rubber discs."],
    [
      "Ines Castellane",
      5,
      1,
      "Leather cup soaked overnight, then pressed in. Less water comes back, the force is the same as before.",
    ],
    [
      "Wen Jiao",
      6,
      1,
      "We changed bore, lever and hose at once. It is better, but we cannot say why. Next time one thing.",
    ],
    ["Zora Whitlock", 5, 2, "The longer tube swings at 40 strokes a minute, not 60. The protocol asks for 60."],
  ] as const;
  for (const [name, w, d, text] of wrote) {
    await s.at(day(w, d), 15, 30);
    const id = randomUUID();
    await s.run(writeEntry, who(name), { id, projectId, personId: who(name), text });
    if (name === "Greta Malik") {
      await s.at(day(w, d + 1), 9);
      await s.run(amendEntry, who(name), {
        id,
        version: 1,
        text: `${text} Measured again with the calliper: 23.6 mm.`,
        reason: "the ruler was read from the side",
      });
    }
  }
}

/** Terrace Pump: from the first question to the signed gate, as it happened in the first weeks. */
export async function terraceFront(s: Stage, day: (week: number, d: number) => string, start: string): Promise<void> {
  const asked = await askOdile(s, day, start);
  const said = await statementsOfTerrace(s, day, asked);
  const open = await openQuestions(s, day, said, asked);
  const chosen = await chooseConcepts(s, day, asked, open);
  await readyForMaterial(s, day, asked, chosen);
  await planAndNotebooks(s, day, asked);
}
