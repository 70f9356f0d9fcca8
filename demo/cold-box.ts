import { addDays } from "@/core/sessions/date";
import { saveProtocol } from "@/stages/bench/commands/protocols";
import { saveBrief } from "@/stages/brief/commands";
import { saveConcept } from "@/stages/concepts/commands/concepts";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { createProject } from "@/stages/plan/commands/projects";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { coldBoxFront } from "./cold-box-front";
import { conceptReview } from "./cold-box-reviews";
import { loggersOfColdBox } from "./cold-box-series";
import { lookUpColdBox } from "./handbook";
import { requirement, roster, sketch } from "./helpers";
import { random } from "./model";
import { as, at, fresh, run } from "./run";

/** The college's project: third week of fourteen, at the choice of concepts. */
export async function coldBox(owner: string, start: string): Promise<void> {
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
        {
          key: "th",
          name: "Hold time",
          unit: "h",
          resolution: "0.1",
          min: "0",
          max: "24",
          take: { rule: "crossing", unit: "°C", level: "8", way: "up", stretch: "60" },
        },
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
  const teams: { id: string; lead: string }[] = [];
  for (const [i, t] of ["Firn", "Névé", "Serac", "Tarn"].entries()) {
    const { id } = await run(createTeam, owner, { projectId, name: t, sectionId: sectionIds[0] });
    teams.push({ id, lead: ids.get(names[i * 3]!)! });
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
  await conceptReview(owner, projectId, teams, start);
  await loggersOfColdBox(projectId, teams, addDays(start, 14));
  await lookUpColdBox(owner, projectId);
}
