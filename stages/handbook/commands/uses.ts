import "server-only";
import type { Subject } from "@/core/access/can";
import { calculatorOf } from "@/core/handbook/calculators";
import { outcomeOf } from "@/core/handbook/outcome";
import type { HandbookTarget } from "@/core/vocabulary/handbook";
import type { UnitSystem } from "@/core/vocabulary/project";
import { checkVersion, command, found, projectOf, refuse, teamOf } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import { ofEntry } from "@/stages/notebook/queries";
import { handbookActs } from "../acts";
import { target } from "../queries/uses";
import * as s from "../schema";
import type { StoredUse } from "../view/handbook";

/** Where each target stands in `handbook_use`. */
const targetColumn: Readonly<Record<HandbookTarget, string>> = {
  build: "build_id",
  protocol: "protocol_id",
  requirement: "requirement_id",
  entry: "entry_id",
};

/** Whose a target is: a team's build, a student's notebook entry, or the class's. */
function ofTarget(sql: Tx, kind: HandbookTarget, id: string): Promise<Subject | null> {
  if (kind === "build") return teamOf(sql, "build", id);
  return kind === "entry" ? ofEntry(sql, id) : projectOf(sql, kind, id);
}

/** What a use belongs to: whoever may write there may change it. */
export async function ofUse(sql: Tx, id: string): Promise<Subject | null> {
  const [u] = await sql<Pick<StoredUse, "kind" | "targetId">[]>`
    SELECT ${target(sql)} FROM handbook_use u WHERE id = ${id}
  `;
  return u ? ofTarget(sql, u.kind, u.targetId) : null;
}

/** Only what comes to something is kept. */
function computed(id: string, inputs: Readonly<Record<string, string>>, units: UnitSystem): void {
  const c = calculatorOf(id) ?? refuse("The handbook has no such calculator.");
  const outcome = outcomeOf(c, inputs, units);
  if (!outcome.ok) refuse(`${c.name}: ${outcome.wrong.map((w) => w.message).join(" ")}`);
}

/** Keeps a calculation with a build, a protocol, a requirement or an entry of the own notebook. */
export const attachUse = command({
  name: "attachUse",
  together: true,
  act: handbookActs.attach,
  schema: s.attachUse,
  subject: (sql, i) => ofTarget(sql, i.kind, i.targetId),
  async run({ sql, actor, audit, by }, input): Promise<{ id: string }> {
    computed(input.calculator, input.inputs, input.units);
    const { project } = (await ofTarget(sql, input.kind, input.targetId))!;
    const made = await sql`
      INSERT INTO handbook_use ${sql({
        id: input.id,
        projectId: project!,
        calculator: input.calculator,
        inputs: sql.json(input.inputs),
        units: input.units,
        note: input.note,
        [targetColumn[input.kind]]: input.targetId,
        personId: actor.kind === "person" ? actor.id : null,
        madeBy: by,
      } as never)}
      ON CONFLICT (id) DO NOTHING
      RETURNING id
    `;
    if (!made.length) {
      const [same] = await sql`SELECT FROM handbook_use WHERE id = ${input.id} AND project_id = ${project!}`;
      found(same, "This calculation");
    }
    const label = `${calculatorOf(input.calculator)!.name}${made.length ? "" : ", sent again"}`;
    audit({ type: "handbook", id: input.id, label, after: input.inputs });
    return { id: input.id };
  },
});

/** Corrects what was put in, or what is said of it. */
export const changeUse = command({
  name: "changeUse",
  act: handbookActs.attach,
  schema: s.changeUse,
  subject: (sql, i) => ofUse(sql, i.id),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [u] = await sql<Pick<row.HandbookUse, "calculator" | "inputs" | "units" | "note" | "version">[]>`
      SELECT calculator, inputs, units, note, version FROM handbook_use WHERE id = ${input.id} FOR UPDATE
    `;
    const old = found(u, "This calculation");
    const told = (of: { inputs: unknown; note: string }) => ({ inputs: JSON.stringify(of.inputs), note: of.note });
    checkVersion(old, input.version, { inputs: "What was put in", note: "Note" }, told(input), told(old));
    computed(old.calculator, input.inputs, input.units);
    await sql`
      UPDATE handbook_use
      SET inputs = ${sql.json(input.inputs)}, units = ${input.units}, note = ${input.note}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "handbook",
      id: input.id,
      label: calculatorOf(old.calculator)!.name,
      before: told(old),
      after: told(input),
    });
    return { id: input.id };
  },
});
