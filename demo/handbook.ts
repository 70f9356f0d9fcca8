import { randomUUID } from "node:crypto";
import { type Exercise, exerciseOf, kindsFor } from "@/core/trainer/exercise";
import { db } from "@/platform/db/db";
import { answerExercise } from "@/stages/handbook/commands/trainer";
import { attachUse } from "@/stages/handbook/commands/uses";
import { trainerFacts } from "@/stages/handbook/queries/trainer";
import { seenOf } from "@/stages/handbook/view/trainer";
import { run } from "./run";

interface Kept {
  readonly calculator: string;
  readonly inputs: Readonly<Record<string, string>>;
  readonly note: string;
}

const keep = (who: string, kind: string, targetId: string, kept: Kept, units = "metric") =>
  run(attachUse, who, { id: randomUUID(), kind, targetId, units, ...kept });

const newest = async (teamId: string) =>
  (await db()<{ id: string }[]>`SELECT id FROM build WHERE team_id = ${teamId} ORDER BY number DESC LIMIT 1`)[0]!.id;
const requirement = async (projectId: string, like: string) =>
  (
    await db()<{ id: string }[]>`
      SELECT r.id
      FROM requirement r
      JOIN requirement_version v ON v.requirement_id = r.id
      WHERE r.project_id = ${projectId} AND concat_ws(' ', v.statement, v.comparator, v.unit) ILIKE ${`%${like}%`}
      ORDER BY r.code
      LIMIT 1
    `
  )[0]!.id;

/** What the Terrace Pump's class looked up: on builds, on the protocol, on the mass limit, in a notebook. */
export async function lookUpTerrace(
  owner: string,
  projectId: string,
  teams: ReadonlyMap<string, { id: string; members: readonly string[] }>,
): Promise<void> {
  const of = (name: string) => teams.get(name)!;
  await keep(of("Cistern").members[0]!, "build", await newest(of("Cistern").id), {
    calculator: "piston-pump",
    inputs: { d: "50 mm", s: "88 ± 1 mm", n: "60", Q1: "8.7 ± 0.1" },
    note: "How much runs back past the flap",
  });
  await keep(of("Alder").members[1]!, "build", await newest(of("Alder").id), {
    calculator: "lever",
    inputs: { F1: "45 ± 3", a: "620", b: "140", s1: "380" },
    note: "Handle of G3: is the stroke still long enough?",
  });
  const [protocol] = await db()<{ id: string }[]>`
    SELECT id FROM protocol WHERE project_id = ${projectId} AND name LIKE 'Lift test%'
  `;
  await keep(owner, "protocol", protocol!.id, {
    calculator: "water-power",
    inputs: { Q: "8.9", h: "1.60 ± 0.01", P1: "6.1" },
    note: "What the best pump of last year put into the water",
  });
  await keep(owner, "requirement", await requirement(projectId, "≤ kg"), {
    calculator: "mass-saving",
    inputs: { m: "5.31 ± 0.01", M: "5.0", A: "850", t1: "6", t2: "4", o: "150", ρ: "600" },
    note: "For the team that is over: thinner side plates",
  });
  const [entry] = await db()<{ id: string; personId: string }[]>`
    SELECT e.id, e.person_id
    FROM notebook_entry e
    WHERE e.person_id = ${of("Cistern").members[0]!} AND e.project_id = ${projectId}
    ORDER BY e.on_date DESC
    LIMIT 1
  `;
  if (entry)
    await keep(entry.personId, "entry", entry.id, {
      calculator: "reynolds",
      inputs: { v: "0.4 m/s", L: "20", μ: "0.001", ρ: "998" },
      note: "Is the flow in the outlet tube smooth?",
    });
}

/** What the capstone group of the Cold Box looked up before it chose. */
export async function lookUpColdBox(owner: string, projectId: string): Promise<void> {
  const hold = await requirement(projectId, "day's round");
  await keep(owner, "requirement", hold, {
    calculator: "ice-time",
    inputs: { m: "0.9", A: "0.32", s: "30", λ: "0.033", Ta: "32", Ti: "5" },
    note: "Ice alone, lid tight",
  });
  await keep(owner, "requirement", hold, {
    calculator: "hold-time",
    inputs: { τ: "26 h", T0: "3", Tx: "8", Ta: "32" },
    note: "What time constant ten hours would need without ice",
  });
}

/** An answer to an exercise: the right one, or one that is near. */
const answerTo = ({ answer }: Exercise, right: boolean): string => {
  if (answer.kind === "choice") return String(right ? answer.right : (answer.right + 1) % answer.options.length);
  if (right) return answer.right;
  return answer.kind === "number" ? String(Math.round(Number(answer.right))) : answer.right.replace(/\d(?= ±)/, "");
};

/** What two teams answered to the trainer: most of it right, and who mixes up what. */
export async function trainTerrace(
  projectId: string,
  teams: ReadonlyMap<string, { readonly members: readonly string[] }>,
): Promise<void> {
  const facts = await trainerFacts(projectId);
  const kinds = kindsFor(facts);
  const members = ["Cistern", "Downpour", "Alder"].flatMap((t) => teams.get(t)!.members);
  for (const [i, who] of members.entries())
    for (const [k, kind] of kinds.entries())
      for (let n = 0; n < 2 + ((i + k) % 3); n++) {
        const seed = `demo ${i} ${n}`;
        const exercise = exerciseOf(kind, facts, seed)!;
        // Everybody mixes up one kind; one student most of them.
        const weak = k === i % kinds.length || i === 5;
        const given = answerTo(exercise, !(weak && n % 3 !== 2));
        await run(answerExercise, who, { id: randomUUID(), projectId, kind, seed, seen: seenOf(exercise), given });
      }
}
