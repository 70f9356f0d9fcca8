import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { readSides } from "@/platform/schema/entered";
import { ofBuild } from "@/stages/builds/queries/builds";
import { partsOf } from "@/stages/builds/queries/parts";
import { recordActs } from "../acts";
import * as s from "../schema-kept";

/** A guide's project and team. */
export const ofGuide = async (sql: Tx, id: string) => {
  const [g] = await sql<{ buildId: row.BuildGuide["buildId"] }[]>`SELECT build_id FROM build_guide WHERE id = ${id}`;
  return g ? ofBuild(sql, g.buildId) : null;
};

/** The same of a step. */
export const ofStep = async (sql: Tx, id: string) => {
  const [t] = await sql<{ guideId: row.GuideStep["guideId"] }[]>`SELECT guide_id FROM guide_step WHERE id = ${id}`;
  return t ? ofGuide(sql, t.guideId) : null;
};

/** How a build is made again: new, with a step for each part where that is wanted, or corrected. */
export const saveGuide = command({
  name: "saveGuide",
  afterFinish: true,
  act: recordActs.guide,
  schema: s.guide,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit, by }, input): Promise<{ id: string }> {
    const { id, buildId, title, intro, datum, cautions } = input;
    const [old] = await sql<row.BuildGuide[]>`SELECT * FROM build_guide WHERE id = ${id} FOR UPDATE`;
    if (old && input.version > 0) {
      if (old.buildId !== buildId) found(null, "This guide");
      const fields = { title: "Title", intro: "What it is", datum: "Datum", cautions: "Cautions" };
      checkVersion(old, input.version, fields, input, { ...old });
      await sql`
        UPDATE build_guide
        SET title = ${title}, intro = ${intro}, datum = ${datum}, cautions = ${cautions}, version = version + 1
        WHERE id = ${id}
      `;
    } else if (!old) {
      await sql`
        INSERT INTO build_guide (id, project_id, build_id, title, intro, datum, cautions, written_by)
        SELECT ${id}, project_id, id, ${title}, ${intro}, ${datum}, ${cautions}, ${by} FROM build WHERE id = ${buildId}
      `;
      const parts = input.draft ? await partsOf(buildId, sql) : [];
      for (const [place, p] of parts.entries())
        await sql`
          INSERT INTO guide_step ${sql({
            id: newId(),
            guideId: id,
            place,
            what: `Fit the ${p.name}`,
            partId: p.id,
            count: p.count,
          })}
        `;
    }
    audit({ type: "build guide", id, label: title, before: old, after: { intro, datum, cautions } });
    return { id };
  },
});

/** A step of a guide, new at its end or corrected. */
export const saveGuideStep = command({
  name: "saveGuideStep",
  afterFinish: true,
  act: recordActs.guide,
  schema: s.guideStep,
  subject: (sql, i) => ofGuide(sql, i.guideId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const { id, guideId, what, count, caution, partId = null, photoId = null } = input;
    const [g] = await sql<row.BuildGuide[]>`SELECT * FROM build_guide WHERE id = ${guideId} FOR UPDATE`;
    if (partId && !(await sql`SELECT FROM part_line WHERE id = ${partId} AND build_id = ${g!.buildId}`).length)
      refuse("This part is not in the build's parts list.", "partId");
    if (photoId && !(await sql`SELECT FROM file_use WHERE id = ${photoId} AND build_id = ${g!.buildId}`).length)
      refuse("This picture is not of the build.", "photoId");
    const at = input.at ? readSides(input.at, "mm") : null;
    const facts = { what, count, caution, partId, photoId, at, atEntered: input.at };
    const [old] = await sql<row.GuideStep[]>`SELECT * FROM guide_step WHERE id = ${id} FOR UPDATE`;
    if (old && input.version > 0) {
      if (old.guideId !== guideId) found(null, "This step");
      const fields = { what: "What is done", caution: "Caution", count: "How many" };
      checkVersion(old, input.version, fields, input, { ...old });
      await sql`UPDATE guide_step SET ${sql(facts)}, version = version + 1 WHERE id = ${id}`;
    } else if (!old) {
      const [last] = await sql<{ place: number }[]>`
        SELECT coalesce(max(place), -1)::int AS place FROM guide_step WHERE guide_id = ${guideId}
      `;
      await sql`INSERT INTO guide_step ${sql({ id, guideId, place: last!.place + 1, ...facts })}`;
    }
    audit({ type: "build guide", id: guideId, label: `${g!.title}: ${what}`, before: old, after: input });
    return { id };
  },
});

/** Moves a step before the one before it, or after the one after it. */
export const moveGuideStep = command({
  name: "moveGuideStep",
  afterFinish: true,
  act: recordActs.guide,
  schema: s.moveStep,
  subject: (sql, i) => ofStep(sql, i.id),
  async run({ sql, audit }, input) {
    const [step] = await sql<row.GuideStep[]>`SELECT * FROM guide_step WHERE id = ${input.id}`;
    const { guideId } = step!;
    await sql`SELECT FROM build_guide WHERE id = ${guideId} FOR UPDATE`;
    const all = await sql<{ id: row.GuideStep["id"] }[]>`
      SELECT id FROM guide_step WHERE guide_id = ${guideId} ORDER BY place, id
    `;
    const ids = all.map((x) => x.id as string);
    const from = ids.indexOf(input.id);
    const to = from + (input.up ? -1 : 1);
    if (to < 0 || to >= ids.length) refuse(input.up ? "It is the first step." : "It is the last step.");
    ids.splice(to, 0, ...ids.splice(from, 1));
    await sql`
      UPDATE guide_step s
      SET place = n.place - 1
      FROM unnest(${ids}::uuid[]) WITH ORDINALITY AS n (id, place)
      WHERE s.id = n.id
    `;
    audit({ type: "build guide", id: guideId, label: step!.what, after: { place: to + 1 } });
  },
});
