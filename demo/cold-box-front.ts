import { addDays } from "@/core/sessions/date";
import { usualWeights } from "@/core/teams/problem";
import { solveAtOnce } from "@/core/teams/solver";
import { saveSettings } from "@/platform/project/save-settings";
import { addSketch, claimMust, mergeConcepts } from "@/stages/concepts/commands/concepts";
import { openSelection, rateConcepts } from "@/stages/concepts/commands/selection";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { answerQuestion } from "@/stages/needs/commands/questions";
import { askClient } from "@/stages/needs/commands/statements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { finishTask, saveTask } from "@/stages/plan/commands/tasks";
import { addConstraint, saveTeamPlan, saveTraits, saveWishes } from "@/stages/teams/commands/forming";
import { problemOf } from "@/stages/teams/queries/forming";
import { bank, client, type Stage, session, statement } from "./front";

/** Questions and interviews of the capstone. */
async function askVets(s: Stage, start: string) {
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
  return { projectId, owner, who, one, ride, shelf };
}

/** Notes become statements; what is asked again. */
async function statementsOfColdBox(
  s: Stage,
  start: string,
  { one, ride, shelf, owner }: Awaited<ReturnType<typeof askVets>>,
) {
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
  return { vet };
}

/** Concepts against the musts and the panel. */
async function panelOfColdBox(
  s: Stage,
  start: string,
  rnd: () => number,
  { projectId, owner, who }: Awaited<ReturnType<typeof askVets>>,
  { vet }: Awaited<ReturnType<typeof statementsOfColdBox>>,
) {
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
  return { names };
}

/** Wishes, limits, a plan of teams, tasks. */
async function wishesOfColdBox(
  s: Stage,
  start: string,
  { owner, projectId, who }: Awaited<ReturnType<typeof askVets>>,
  { names }: Awaited<ReturnType<typeof panelOfColdBox>>,
) {
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

/** Cold Box: in the middle of it. Needs are heard, statements half sorted, concepts open, a panel is scoring. */
export async function coldBoxFront(s: Stage, start: string, rnd: () => number): Promise<void> {
  const asked = await askVets(s, start);
  const said = await statementsOfColdBox(s, start, asked);
  const judged = await panelOfColdBox(s, start, rnd, asked, said);
  await wishesOfColdBox(s, start, asked, judged);
}
