import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { recordActs } from "../acts";
import * as s from "../schema-kept";

/** A loan's project. */
export const ofLoan = async (sql: Tx, id: string) => {
  const [l] = await sql<{ artefactId: row.ArtefactLoan["artefactId"] }[]>`
    SELECT artefact_id FROM artefact_loan WHERE id = ${id}
  `;
  return l ? projectOf(sql, "artefact", l.artefactId) : null;
};

const kept = async (sql: Tx, id: string) =>
  found((await sql<row.Artefact[]>`SELECT * FROM artefact WHERE id = ${id} FOR UPDATE`)[0], "This model");

/** Keeps a model, or corrects what is written of it; in a finished project too. */
export const saveArtefact = command({
  name: "saveArtefact",
  afterFinish: true,
  act: recordActs.shelve,
  schema: s.artefact,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { projectId, id, buildId = null, name, place, note } = input;
    if (buildId && !(await sql`SELECT FROM build WHERE id = ${buildId} AND project_id = ${projectId}`).length)
      refuse("This build is not of the project.", "buildId");
    const [old] = await sql<row.Artefact[]>`SELECT * FROM artefact WHERE id = ${id} FOR UPDATE`;
    if (old && input.version > 0) {
      if (old.projectId !== projectId) found(null, "This model");
      checkVersion(old, input.version, { name: "Name", place: "Where it stands", note: "Note" }, input, { ...old });
      await sql`
        UPDATE artefact
        SET build_id = ${buildId}, name = ${name}, place = ${place}, note = ${note}, version = version + 1
        WHERE id = ${id}
      `;
    } else
      await sql`
        INSERT INTO artefact ${sql({ id, projectId, buildId, name, place, note, recordedBy: by })}
        ON CONFLICT (id) DO NOTHING
      `;
    audit({ type: "kept model", id, label: name, before: old, after: { place, note } });
    return { id };
  },
});

/** Lends a kept model. */
export const lendArtefact = command({
  name: "lendArtefact",
  afterFinish: true,
  act: recordActs.shelve,
  schema: s.lendArtefact,
  subject: (sql, i) => projectOf(sql, "artefact", i.artefactId),
  async run({ sql, audit, by, today }, input): Promise<{ id: string }> {
    const a = await kept(sql, input.artefactId);
    if (a.scrappedOn) refuse(`${a.name} was scrapped on ${a.scrappedOn}.`);
    if (input.dueOn && input.dueOn < today) refuse("The day it is due back has passed.", "dueOn");
    await sql`
      INSERT INTO artefact_loan ${sql({
        id: input.id,
        artefactId: a.id,
        lentTo: input.lentTo,
        lentOn: today,
        dueOn: input.dueOn ?? null,
        lentBy: by,
      })}
      ON CONFLICT (id) DO NOTHING
    `;
    audit({ type: "kept model", id: a.id, label: `${a.name} lent`, after: { until: input.dueOn ?? null } });
    return { id: input.id };
  },
});

/** A lent model is back; or it is not, after all. */
export const returnArtefact = command({
  name: "returnArtefact",
  afterFinish: true,
  act: recordActs.shelve,
  schema: s.returnArtefact,
  subject: (sql, i) => ofLoan(sql, i.id),
  async run({ sql, audit, today }, input) {
    const [loan] = await sql<row.ArtefactLoan[]>`SELECT * FROM artefact_loan WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(loan!, input.version, {}, input, { ...loan! });
    await sql`
      UPDATE artefact_loan
      SET back_on = ${input.back ? today : null}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "kept model", id: loan!.artefactId, label: "loan", after: { back: input.back } });
  },
});

/** A model is no more, for a reason; or it is there again. */
export const scrapArtefact = command({
  name: "scrapArtefact",
  afterFinish: true,
  act: recordActs.shelve,
  schema: s.scrapArtefact,
  subject: (sql, i) => projectOf(sql, "artefact", i.id),
  async run({ sql, audit, today }, input) {
    const a = await kept(sql, input.id);
    checkVersion(a, input.version, {}, input, { ...a });
    const gone = a.scrappedOn === null;
    if (gone && !input.why) refuse("Say what became of it, for example: taken apart for its valves.", "why");
    const [out] = await sql`SELECT FROM artefact_loan WHERE artefact_id = ${a.id} AND back_on IS NULL`;
    if (gone && out) refuse(`${a.name} is lent. Note first that it is back.`);
    await sql`
      UPDATE artefact
      SET scrapped_on = ${gone ? today : null}, scrapped_why = ${gone ? input.why : ""}, version = version + 1
      WHERE id = ${a.id}
    `;
    audit({ type: "kept model", id: a.id, label: a.name, after: { scrapped: gone }, reason: input.why || undefined });
  },
});
