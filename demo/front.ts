// The front of the work in the demo: how needs were heard, concepts chosen and teams made ready, for the garden's pump
// on record and for the cold box half way.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { addDays } from "@/core/sessions/date";
import { usualWeights } from "@/core/teams/problem";
import { solveAtOnce } from "@/core/teams/solver";
import type { Command } from "@/platform/command/command";
import { saveSettings } from "@/platform/project/save-settings";
import { recordChallenge, saveChallenge } from "@/stages/brief/commands";
import { addSketch, claimMust, mergeConcepts } from "@/stages/concepts/commands/concepts";
import { closeSelection, openSelection, rateConcepts } from "@/stages/concepts/commands/selection";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { mustsOf } from "@/stages/concepts/view/concepts";
import { closeSource, openSource, writeNote } from "@/stages/needs/commands/notes";
import {
  answerQuestion,
  draftQuestion,
  editQuestion,
  mergeQuestions,
  orderQuestions,
} from "@/stages/needs/commands/questions";
import { makeBaseline, ownRequirement } from "@/stages/needs/commands/register";
import {
  askClient,
  linkStatement,
  mergeStatements,
  saveStatement,
  setStatementAside,
} from "@/stages/needs/commands/statements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { amendEntry, writeEntry } from "@/stages/notebook/commands";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { addGateItem, setGate, signGate, tickGate } from "@/stages/plan/commands/gates";
import { saveMilestone } from "@/stages/plan/commands/milestones";
import { finishTask, saveTask } from "@/stages/plan/commands/tasks";
import { saveTool, signTool } from "@/stages/shop/commands";
import { drawSelectionOrder, setTeamConcept } from "@/stages/teams/commands/choosing";
import { addConstraint, saveTeamPlan, saveTraits, saveWishes } from "@/stages/teams/commands/forming";
import { savePart } from "@/stages/teams/commands/parts";
import { problemOf } from "@/stages/teams/queries/forming";
import { teamsOf } from "@/stages/teams/queries/teams";

export interface Stage {
  run<I, O>(cmd: Command<I, O>, who: string | Actor, input: unknown): Promise<O>;
  at(date: string, hour?: number, minute?: number): Promise<void>;
  sketch(words: string, hue: number): Promise<string>;
  as(id: string): Promise<Actor>;
  owner: string;
  projectId: string;
  /** Students' ids by name. */
  ids: ReadonlyMap<string, string>;
}

async function client(s: Stage, label: string): Promise<Actor> {
  await s.run(createGuestLink, s.owner, { projectId: s.projectId, role: "client", label, days: 120 });
  const link = (await guestLinksOf(s.projectId)).find((g) => g.role === "client")!;
  return { kind: "guest", id: link.id, name: label, role: "client", project: s.projectId };
}

type Heard = [question: number | null, by: string, text: string];
async function session(
  s: Stage,
  who: string,
  kind: string,
  title: string,
  withWhom: string,
  date: string,
  questions: readonly string[],
  heard: readonly Heard[],
  close = true,
): Promise<Map<string, string>> {
  await s.at(date, 10);
  const { id } = await s.run(openSource, who, {
    projectId: s.projectId,
    kind,
    title,
    who: withWhom,
    heldOn: date,
  });
  const notes = new Map<string, string>();
  for (const [i, [q, by, text]] of heard.entries()) {
    await s.at(date, 10, 3 + i);
    const note = randomUUID();
    await s.run(writeNote, s.ids.get(by)!, {
      id: note,
      sourceId: id,
      questionId: q === null ? undefined : questions[q],
      text,
    });
    notes.set(text, note);
  }
  if (close) await s.run(closeSource, s.owner, { id, closed: true });
  return notes;
}

async function bank(
  s: Stage,
  date: string,
  list: readonly (readonly [text: string, by: string, asker: string | null, ...alike: (readonly [string, string])[]])[],
): Promise<string[]> {
  const out: string[] = [];
  for (const [i, [text, by, asker, ...alike]] of list.entries()) {
    await s.at(date, 9, i * 2);
    const { id } = await s.run(draftQuestion, s.ids.get(by)!, { projectId: s.projectId, text });
    const others: string[] = [];
    for (const [t, b] of alike)
      others.push((await s.run(draftQuestion, s.ids.get(b)!, { projectId: s.projectId, text: t })).id);
    if (others.length) await s.run(mergeQuestions, s.owner, { projectId: s.projectId, into: id, from: others });
    if (asker)
      await s.run(editQuestion, s.owner, {
        id,
        version: 1,
        text,
        askerId: s.ids.get(asker),
        forClient: false,
      });
    out.push(id);
  }
  await s.run(orderQuestions, s.owner, { projectId: s.projectId, ids: out });
  return out;
}

async function statement(
  s: Stage,
  by: string,
  text: string,
  notes: readonly (string | undefined)[],
  code?: string,
): Promise<string> {
  const { id } = await s.run(saveStatement, s.ids.get(by) ?? by, {
    projectId: s.projectId,
    text,
    noteIds: notes.filter((n) => n),
  });
  const r = code ? (await requirementsOf(s.projectId)).find((x) => x.statement.startsWith(code)) : undefined;
  if (r) await s.run(linkStatement, s.owner, { id, requirementId: r.id });
  return id;
}

/** Terrace Pump: from the first question to the signed gate, as it happened in the first weeks. */
export async function terraceFront(s: Stage, day: (week: number, d: number) => string, start: string): Promise<void> {
  const { projectId, owner } = s;
  const who = (n: string) => s.ids.get(n)!;
  await s.at(addDays(start, -3), 11);
  const { id: bridge } = await s.run(saveChallenge, owner, {
    projectId,
    title: "Paper bridge",
    task:
      "Two sheets of paper, 30 cm of tape, twenty minutes. It spans 20 cm between two tables and carries " +
      "as many washers as it can.",
    heldOn: addDays(start, -3),
    measure: "Load",
    unit: "g",
    resolution: "5",
    better: "more",
  });
  for (const [i, [g, v]] of (
    [
      ["Ines, Priya, Zora", "430"],
      ["Amara, Felix", "615"],
      ["Greta, Hugo, Yuki", "280"],
      ["Nadia, Callum", "615"],
      ["Dev, Astrid, Samuel", "355"],
      ["Kofi, Vera, Rowan", "505"],
      ["Greta, Hugo, Yuki", "470"],
    ] as const
  ).entries()) {
    await s.at(addDays(start, -3), 11, 20 + i);
    await s.run(recordChallenge, owner, { id: randomUUID(), challengeId: bridge, who: g, value: v });
  }

  const asked = await bank(s, day(1, 0), [
    ["How high must the water go, and from where?", "Jonah Brightwater", "Jonah Brightwater"],
    [
      "How much water does a bed need, and how long may it take?",
      "Priya Raman",
      "Amara Diallo",
      ["How fast should it be?", "Marcus Thorne"],
    ],
    ["Who will use it?", "Leila Haddad", "Leila Haddad"],
    [
      "Who carries it, and where to?",
      "Felix Norrington",
      "Felix Norrington",
      ["How heavy may it be?", "Emil Sandoval"],
    ],
    ["Where is it kept in winter?", "Wen Jiao", "Nadia Orlova"],
    ["What has gone wrong with pumps before?", "Tilda Frost", "Tilda Frost"],
    ["What may the parts cost?", "Mei Tanaka", "Mei Tanaka"],
  ]);
  const one = await session(
    s,
    owner,
    "interview",
    "Interview 1",
    "Odile Brandt, garden coordinator",
    day(1, 1),
    asked,
    [
      [0, "Jonah Brightwater", "From the tank at the foot of the wall to the upper terrace. We measured 1.60 m."],
      [0, "Zora Whitlock", "1.60 m, she held the tape herself"],
      [1, "Amara Diallo", "A bed should be done before I finish my tea, ten minutes say."],
      [1, "Priya Raman", "a bed takes six watering cans of ten litres"],
      [2, "Leila Haddad", "Mostly Odile and two retired neighbours, alone, mornings"],
      [2, "Yuki Sorano", "one of them has a bad shoulder, it must go easily"],
      [3, "Felix Norrington", "I am not carrying a sack of cement."],
      [3, "Emil Sandoval", "carried up nine steps every evening, by one person"],
      [4, "Nadia Orlova", "On the tool shed shelf"],
      [5, "Tilda Frost", "The last one dripped and the path froze"],
      [5, "Bashir Noor", "the path freezes, nobody may slip"],
      [6, "Mei Tanaka", "The garden has 45 credits for parts, no more"],
      [null, "Kofi Mensah", "The beds are for beans and herbs, so nothing oily near the water"],
    ],
  );
  const two = await session(s, owner, "interview", "Interview 2", "Odile Brandt, by telephone", day(2, 0), asked, [
    [2, "Leila Haddad", "People read there. It should not clank."],
    [null, "Paloma Ferrer", "mending with garden tools would be good"],
  ]);
  const watched = await session(
    s,
    who("Amara Diallo"),
    "observation",
    "Two users at the old pump",
    "Garden, Thursday afternoon",
    day(1, 3),
    asked,
    [
      [null, "Amara Diallo", "The smaller user hangs on the handle with her weight; spring scale reads 55 N"],
      [null, "Sunniva Aas", "she stops after eleven strokes and changes hands"],
    ],
  );
  const shelf = await session(
    s,
    who("Wen Jiao"),
    "product",
    "Hand pumps of a garden catalogue",
    "three drawings, one borrowed",
    day(1, 4),
    asked,
    [
      [null, "Wen Jiao", "The borrowed one weighs 6.8 kg and needs two hands"],
      [null, "Marcus Thorne", "cheapest one costs 80, above the garden's budget"],
    ],
  );
  await s.at(day(2, 1), 13);
  const n = (t: string, from = one) => [...from].find(([text]) => text.startsWith(t))?.[1];
  await statement(
    s,
    "Zora Whitlock",
    "Lifts water from the tank to the upper terrace, 1.60 m up",
    [n("From the tank"), n("1.60 m")],
    "Lifts water",
  );
  await statement(
    s,
    "Priya Raman",
    "Sixty litres for a bed in ten minutes",
    [n("A bed should"), n("a bed takes")],
    "Moves enough water",
  );
  const carried = await statement(
    s,
    "Emil Sandoval",
    "One person carries it up nine steps, at most 5 kg",
    [n("I am not"), n("carried up"), n("The borrowed", shelf)],
    "One person carries",
  );
  const again = await statement(s, "Felix Norrington", "Light enough for one person to carry up the steps", [
    n("I am not"),
  ]);
  await s.run(mergeStatements, owner, { projectId, into: carried, from: [again] });
  await statement(s, "Nadia Orlova", "Is kept on the tool shed shelf", [n("On the tool")], "Fits the tool shed");
  await statement(
    s,
    "Mei Tanaka",
    "Parts cost at most 45 credits",
    [n("The garden has"), n("cheapest", shelf)],
    "Parts stay",
  );
  const drips = await statement(
    s,
    "Bashir Noor",
    "Nothing drips on the path, which freezes",
    [n("The last one"), n("the path freezes")],
    "Leaks nothing",
  );
  const slip = await statement(s, "Tilda Frost", "The path must not freeze from drips", [n("The last one")]);
  await s.run(mergeStatements, owner, { projectId, into: drips, from: [slip] });
  await statement(
    s,
    "Sunniva Aas",
    "A small adult works it with at most 40 N at the handle",
    [n("one of them"), n("The smaller", watched), n("she stops", watched)],
    "Comfortable",
  );
  await statement(s, "Leila Haddad", "One operator, alone", [n("Mostly Odile")], "One operator");
  await statement(s, "Leila Haddad", "Quiet near the reading corner", [n("People read", two)], "Quiet");
  const oil = await statement(s, "Kofi Mensah", "Nothing oily near the water", [n("The beds are")]);
  await s.run(setStatementAside, who("Kofi Mensah"), {
    id: oil,
    reason: "The school's list of allowed materials covers it",
  });
  const odile = await client(s, "Odile Brandt");
  const mend = await statement(s, "Paloma Ferrer", "Can be mended with garden tools", [n("mending", two)]);
  const { id: open } = await s.run(askClient, owner, {
    statementId: mend,
    text: "Which tools are in the garden's shed, for mending the pump?",
  });
  await s.at(day(2, 3), 19);
  await s.run(answerQuestion, odile, {
    questionId: open,
    text: "A knife, a screwdriver for crossed screws, pliers. No drill.",
  });
  await s.at(day(2, 3), 15);
  const rules = (await requirementsOf(projectId)).filter((r) =>
    ["One person carries", "Fits the tool", "Parts stay", "Leaks nothing"].some((x) => r.statement.startsWith(x)),
  );
  const owners = ["Felix Norrington", "Nadia Orlova", "Mei Tanaka", "Bashir Noor"];
  for (const [i, r] of rules.entries()) await s.run(ownRequirement, owner, { id: r.id, ownerId: who(owners[i]!) });
  await s.run(makeBaseline, owner, { projectId, note: "Odile Brandt and both sections" });

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

/** Cold Box: in the middle of it. Needs are heard, statements half sorted, concepts open, a panel is scoring. */
export async function coldBoxFront(s: Stage, start: string, rnd: () => number): Promise<void> {
  const { projectId, owner } = s;
  const who = (n: string) => s.ids.get(n)!;
  const asked = await bank(s, addDays(start, 1), [
    ["How long is the longest round?", "Ada Lorentz", "Ada Lorentz"],
    [
      "How warm does it get, inside the van and outside?",
      "Fredrik Aune",
      "Fredrik Aune",
      ["What is the hottest day you have worked?", "Kira Novak"],
    ],
    ["How many vials at once, and which size?", "Gwen Parry", "Gwen Parry"],
    [
      "Who carries the box, how far?",
      "Hamid Rezai",
      "Hamid Rezai",
      ["How heavy may it be?", "Brigid Moyo"],
      ["Could you carry 5 kg?", "Lev Abramson"],
    ],
    ["How do you open it at work?", "Isolde Marsh", "Isolde Marsh"],
    ["How is it cleaned?", "Jun Watanabe", null],
    ["What happens when it gets too warm?", "Elif Demir", "Elif Demir"],
    ["Where does it cool down overnight?", "Caspian Wolfe", null],
  ]);
  const one = await session(
    s,
    owner,
    "interview",
    "Interview 1",
    "Sunniva Rask, travelling vet",
    addDays(start, 4),
    asked,
    [
      [0, "Ada Lorentz", "I leave at seven and the last farm is at five."],
      [0, "Kira Novak", "ten hours on the road, eleven in lambing season"],
      [1, "Fredrik Aune", "32 degrees in the yard, the van is worse"],
      [1, "Delphine Ray", "she guesses 40 °C in the van with the windows closed"],
      [2, "Gwen Parry", "two trays of twelve, so 24 vials"],
      [3, "Hamid Rezai", "From the van to the barn, one hand on the bucket. Four kilos, not more."],
      [3, "Lev Abramson", "I could carry 6 kg or more if it has a strap"],
      [4, "Isolde Marsh", "One hand. The other one holds the animal."],
      [4, "Brigid Moyo", "opens it six times a farm"],
      [5, "Jun Watanabe", "washed out between farms, every time, biosecurity"],
      [6, "Elif Demir", "If it was too warm I must throw them away. I need to know, not guess."],
      [6, "Caspian Wolfe", "a light or a sign that stays"],
      [null, "Lev Abramson", "it falls off the tailgate once a month"],
    ],
  );
  const ride = await session(
    s,
    who("Brigid Moyo"),
    "observation",
    "One morning along",
    "three farms with Sunniva Rask",
    addDays(start, 8),
    asked,
    [
      [null, "Brigid Moyo", "Lid stood open for 40 s while she wrote the ear tag down"],
      [null, "Delphine Ray", "box slid across the van floor in every bend"],
    ],
  );
  const shelf = await session(
    s,
    who("Kira Novak"),
    "product",
    "Picnic box, measured",
    "from the caretaker's cellar",
    addDays(start, 9),
    asked,
    [[null, "Kira Novak", "5.2 kg empty; 4 °C to 11 °C in 6 h at 30 °C with two packs"]],
  );
  await session(
    s,
    owner,
    "interview",
    "Interview 2",
    "Sunniva Rask, by video",
    addDays(start, 15),
    asked,
    [
      [7, "Caspian Wolfe", "The freezer at the clinic takes packs up to 20 × 15 cm"],
      [5, "Jun Watanabe", "hot water and soap, no crevices"],
    ],
    false,
  );
  await s.at(addDays(start, 10), 14);
  const n = (t: string, from = one) => [...from].find(([text]) => text.startsWith(t))?.[1];
  await statement(
    s,
    "Ada Lorentz",
    "Keeps vials between 2 and 8 °C for 10 h",
    [n("I leave"), n("ten hours")],
    "Keeps vials",
  );
  await statement(s, "Kira Novak", "Vials stay at 2 to 8 °C for at least 11 h in lambing season", [n("ten hours")]);
  await statement(
    s,
    "Hamid Rezai",
    "The box weighs at most 4 kg, carried in one hand",
    [n("From the van")],
    "One person carries",
  );
  await statement(s, "Lev Abramson", "With a strap the box may weigh 6 kg or more", [n("I could carry")]);
  await statement(s, "Isolde Marsh", "Opens with one hand while the other holds an animal", [n("One hand")]);
  await statement(s, "Brigid Moyo", "The lid can be opened with one hand", [n("opens it six"), n("Lid stood", ride)]);
  await statement(s, "Jun Watanabe", "Easy to clean between farms", [n("washed out")], "Easy to clean");
  await statement(s, "Gwen Parry", "Holds 24 vials in two trays of twelve", [n("two trays")]);
  await statement(s, "Lev Abramson", "Survives a fall from the tailgate", [n("it falls")]);
  await statement(s, "Delphine Ray", "Sturdy", [n("it falls"), n("box slid", ride)]);
  const warm = await statement(s, "Elif Demir", "Shows that it was too warm, and the sign stays", [
    n("If it was"),
    n("a light"),
  ]);
  await statement(s, "Kira Novak", "Does better than a picnic box", [n("5.2 kg", shelf)]);
  const vet = await client(s, "Sunniva Rask");
  await s.run(askClient, owner, {
    statementId: warm,
    text: "How long above 8 °C makes a vial worthless: at once, or after some minutes?",
  });
  const { id: open } = await s.run(askClient, owner, {
    statementId: warm,
    text: "Would a sign on the lid do, or must it be heard as well?",
  });
  await s.at(addDays(start, 11), 20);
  await s.run(answerQuestion, vet, {
    questionId: open,
    text: "On the lid is enough. A beeper frightens the calves.",
  });

  const musts = (await requirementsOf(projectId)).filter((r) => r.priority === "must");
  const hold = musts.find((r) => r.measure?.startsWith("run:"))!;
  const all = await conceptsOf(projectId, await s.as(owner));
  const hours: Record<string, number> = { Vacuum: 14, Phase: 11, Nested: 8.5, Evaporative: 6 };
  for (const [i, k] of all.entries()) {
    await s.at(addDays(start, 12), 10, i * 3);
    const base = hours[k.title.split(/[ -]/)[0]!] ?? 9;
    await s.run(claimMust, k.authorId!, {
      conceptId: k.id,
      requirementId: hold.id,
      says: base >= 10 ? "yes" : "unsure",
      how: base > 12 ? "heat flow of the panels, calculated" : "from the picnic box, scaled by wall thickness",
      estimate: `${(base + rnd() * 1.5).toFixed(1)} h`,
    });
    if (i < 5)
      await s.run(addSketch, k.authorId!, {
        conceptId: k.id,
        base64: await s.sketch(k.title, 190 + i * 12),
        caption: "Section through the box",
      });
  }
  await s.at(addDays(start, 14), 9);
  await s.run(saveSettings, owner, { projectId, conceptsOpen: true, conceptSchool: "panel", teamMin: 3, teamMax: 3 });
  await s.run(mergeConcepts, owner, {
    projectId,
    title: "Vacuum panels around phase-change plates",
    idea: "Panels keep the heat out, plates at 5 °C hold the middle.",
    parents: [all.find((k) => k.title.startsWith("Vacuum"))!.id, all.find((k) => k.title.startsWith("Phase"))!.id],
    reason: "Both authors saw that one lacks what the other has",
  });
  const standing = (await conceptsOf(projectId, await s.as(owner))).filter((k) => k.fate === "open").slice(0, 6);
  const criteria = [
    { key: "hold", name: "Holds the cold", weight: 5 },
    { key: "carry", name: "Light to carry", weight: 3 },
    { key: "clean", name: "Easy to clean", weight: 2 },
    { key: "build", name: "Can be built here", weight: 3 },
  ];
  const { id: panel } = await s.run(openSelection, owner, {
    projectId,
    title: "Panel on concepts",
    school: "panel",
    conceptIds: standing.map((k) => k.id),
    criteria,
    top: 5,
    keep: 4,
    severity: "adjusted",
  });
  const score = (bias: number) =>
    Object.fromEntries(
      standing.map((k, i) => [
        k.id,
        Object.fromEntries(
          criteria.map((c, j) => [
            c.key,
            Math.max(0, Math.min(5, Math.round((2.4 + ((i * 7 + j * 5) % 4) * 0.7 + bias + rnd() * 0.9) * 2) / 2)),
          ]),
        ),
      ]),
    );
  for (const [rater, bias] of [
    [owner, 0.3],
    [vet, -0.6],
  ] as const) {
    await s.at(addDays(start, 15), 11);
    await s.run(rateConcepts, rater, { selectionId: panel, marks: score(bias) });
  }
  const names = [...s.ids.keys()];
  for (const [i, name] of names.slice(0, 9).entries()) {
    await s.at(addDays(start, 15), 12, i);
    await s.run(saveWishes, who(name), {
      projectId,
      personId: who(name),
      people: [who(names[(i + 4) % 12]!), who(names[(i + 7) % 12]!)].filter((x) => x !== who(name)),
      ideas: [standing[i % standing.length]!.id, standing[(i + 2) % standing.length]!.id],
    });
  }
  await s.run(saveTraits, owner, {
    projectId,
    rows: names.map((name, i) => ({
      personId: who(name),
      skills: { workshop: 1 + ((i * 7) % 5), calculating: 1 + ((i * 3 + 2) % 5) },
      marked: i % 4 === 1,
    })),
  });
  await s.run(addConstraint, owner, {
    projectId,
    kind: "apart",
    people: [who("Elif Demir"), who("Gwen Parry")],
  });
  await s.run(addConstraint, owner, {
    projectId,
    kind: "together",
    people: [who("Ada Lorentz"), who("Kira Novak")],
  });
  const setup = { min: 3, max: 3, teams: 0, conceptIds: [], sectionIds: [], weights: usualWeights };
  const problem = await problemOf(projectId, setup);
  const solved = solveAtOnce(problem, { seed: "5150", moves: 60_000, starts: 2 });
  if (solved.ok)
    await s.run(saveTeamPlan, owner, {
      projectId,
      name: "Plan with seed 5150",
      seed: "5150",
      setup,
      assignment: solved.assignment,
    });
  await s.at(addDays(start, 1), 14);
  const ids = new Map<string, string>();
  for (const [title, length, after] of [
    ["Hear the client", 3, []],
    ["Sort statements, agree on the register", 2, ["Hear the client"]],
    ["Concepts, alone", 2, ["Hear the client"]],
    ["Choose concepts", 2, ["Sort statements, agree on the register", "Concepts, alone"]],
    ["Small trials of walls and packs", 4, ["Choose concepts"]],
    ["First box", 6, ["Small trials of walls and packs"]],
    ["Chamber tests", 3, ["First box"]],
    ["Second box", 4, ["Chamber tests"]],
    ["Handover", 1, ["Second box"]],
  ] as const)
    ids.set(
      title,
      (await s.run(saveTask, owner, { projectId, title, length, after: after.map((a) => ids.get(a)!) })).id,
    );
  await s.at(addDays(start, 10), 15);
  await s.run(finishTask, owner, { id: ids.get("Hear the client")!, doneOn: addDays(start, 8) });
}
