import type * as row from "@/platform/db/rows";
import "server-only";
import { keptStep, refusedStep } from "@/core/builds/making";
import type { PieceStep } from "@/core/vocabulary/builds";
import { type Context, checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { projectUnits } from "@/platform/project/settings";
import { siOrNull } from "@/platform/schema/entered";
import { buildActs } from "../acts";
import { ofBuild, otherBuild } from "../queries/builds";
import { partsOf } from "../queries/parts";
import { ofPiece, type Piece, piecesOf } from "../queries/pieces";
import * as s from "../schema";
import { readLines } from "../view/lines";
import { makingOf, piecesOfParts } from "../view/pieces";

const labels = {
  name: "Piece",
  makerId: "Made by",
  partId: "Line of the parts list",
  oneChance: "Cut once",
  material: "Sheet or stock",
  machine: "Machine",
  chain: "Chain",
  nominal: "Should measure (m)",
  tolerance: "Tolerance (m)",
  measured: "Measures (m)",
};

async function lockPiece(sql: Tx, id: string): Promise<Piece> {
  const [at] = await sql<{ buildId: row.Piece["buildId"] }[]>`SELECT build_id FROM piece WHERE id = ${id} FOR UPDATE`;
  const { buildId } = found(at, "This piece");
  return (await piecesOf(buildId, sql)).find((p) => p.id === id)!;
}

/** A piece of a build, new or corrected. */
export const savePiece = command({
  name: "savePiece",
  act: buildActs.edit,
  schema: s.piece,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const { project, team } = (await ofBuild(sql, input.buildId))!;
    const { side } = await projectUnits(project, sql);
    const [nominal, tolerance, measured] = (["nominal", "tolerance", "measured"] as const).map((k) => {
      const si = siOrNull(input[k], side);
      if (si !== null && (Number(si) < 0 || (Number(si) === 0 && k !== "tolerance")))
        refuse("A length is more than zero.", k);
      return si;
    }) as [string | null, string | null, string | null];
    if (nominal === null && (tolerance !== null || measured !== null || input.chain))
      refuse("Say what it should measure: without it there is no deviation.", "nominal");
    if (input.makerId)
      found(
        (
          await sql`SELECT FROM membership WHERE team_id = ${team} AND person_id = ${input.makerId} AND to_on IS NULL`
        )[0],
        "The maker in this team",
      );
    if (input.partId)
      found(
        (await partsOf(input.buildId, sql)).find((p) => p.id === input.partId),
        "The line of the parts list",
      );
    const settings = readLines(input.settings);
    if (new Set(settings.map((x) => x.name.toLowerCase())).size < settings.length)
      refuse("A setting is listed twice.", "settings");
    const row = {
      name: input.name,
      makerId: input.makerId ?? null,
      partId: input.partId ?? null,
      oneChance: input.oneChance,
      material: input.material,
      machine: input.machine,
      chain: input.chain,
      nominal,
      tolerance,
      measured,
    };
    const typed = { nominal: input.nominal, tolerance: input.tolerance, measured: input.measured };
    const more = {
      settings: sql.json(Object.fromEntries(settings.map((x) => [x.name, x.value]))),
      entered: sql.json(typed),
    };
    if (!input.id) {
      const id = newId();
      await sql`INSERT INTO piece ${sql({ ...row, ...more, id, buildId: input.buildId })}`;
      audit({ type: "piece", id, label: input.name, after: { ...row, settings } });
      return { id };
    }
    const old = await lockPiece(sql, input.id);
    if (old.buildId !== input.buildId) found(null, "This piece");
    checkVersion(old, input.version, labels, row, old as unknown as Record<string, unknown>);
    // What was checked was another length: who checked it looks again.
    const seen = old.steps.some((x) => x.step === "checked");
    const cut = old.steps.some((x) => x.step === "cut");
    const moved = Number(old.nominal) !== Number(nominal) || old.material !== row.material;
    if (moved && cut && old.oneChance)
      refuse("It is cut already, from what was checked: its length and its sheet stay. Write a new piece.", "nominal");
    if (moved && seen && !cut)
      await sql`DELETE FROM piece_step WHERE piece_id = ${input.id} AND step IN ('checked', 'released')`;
    await sql`UPDATE piece SET ${sql({ ...row, ...more })}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "piece", id: input.id, label: input.name, before: old, after: { ...row, settings } });
    return { id: input.id };
  },
});

/** Ticks a step of a piece, or takes the tick back. */
async function mark({ sql, audit, by, actor }: Context, id: string, step: PieceStep, on: boolean): Promise<void> {
  const piece = await lockPiece(sql, id);
  const person = actor.kind === "person" ? actor.id : null;
  const making = makingOf(piece);
  const why = on
    ? refusedStep(step, { ...making, steps: { ...making.steps, [step]: person ?? by } })
    : keptStep(step, making);
  if (why.length) refuse(why.join(" "), "step");
  if (on)
    await sql`
      INSERT INTO piece_step ${sql({ pieceId: id, step, personId: person, doneBy: by })} ON CONFLICT DO NOTHING
    `;
  else await sql`DELETE FROM piece_step WHERE piece_id = ${id} AND step = ${step}`;
  audit({ type: "piece", id, label: `${piece.name}: ${step}`, after: { [step]: on } });
}

/** A step of a piece, by its team. */
export const markPiece = command({
  name: "markPiece",
  act: buildActs.edit,
  schema: s.markPiece,
  subject: (sql, i) => ofPiece(sql, i.id),
  run: (context, input) => mark(context, input.id, input.step, input.on),
});

/** The instructor's word that a piece may be cut. */
export const releasePiece = command({
  name: "releasePiece",
  act: buildActs.release,
  schema: s.releasePiece,
  subject: (sql, i) => ofPiece(sql, i.id),
  run: (context, input) => mark(context, input.id, "released", input.on),
});

/** A piece for each made line of the parts list that has none yet, numbered where there are several of one. */
export const listPieces = command({
  name: "listPieces",
  act: buildActs.edit,
  schema: s.listPieces,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit }, { buildId }): Promise<{ listed: number }> {
    const pieces = piecesOfParts(await partsOf(buildId, sql), await piecesOf(buildId, sql));
    if (pieces.length) await sql`INSERT INTO piece ${sql(pieces.map((p) => ({ ...p, id: newId(), buildId })))}`;
    audit({ type: "piece", id: buildId, label: `${pieces.length} pieces of the parts list` });
    return { listed: pieces.length };
  },
});

/**
 * Takes over the pieces of another build of the project, to be made again: nothing of them is ticked or measured, and
 * who made them does so again in the same team only.
 */
export const copyPieces = command({
  name: "copyPieces",
  act: buildActs.edit,
  schema: s.copyPieces,
  subject: (sql, i) => ofBuild(sql, i.buildId),
  async run({ sql, audit }, input): Promise<{ copied: number }> {
    const { label, same } = found(await otherBuild(sql, input), "The other build");
    const here = new Set((await piecesOf(input.buildId, sql)).map((p) => p.name.toLowerCase()));
    const pieces = (await piecesOf(input.fromId, sql)).filter((p) => !here.has(p.name.toLowerCase()));
    const parts = new Map((await partsOf(input.buildId, sql)).map((p) => [p.name.toLowerCase(), p.id]));
    if (pieces.length)
      await sql`
        INSERT INTO piece ${sql(
          pieces.map((p) => ({
            id: newId(),
            buildId: input.buildId,
            name: p.name,
            makerId: same ? p.makerId : null,
            partId: parts.get(p.part?.toLowerCase() ?? "") ?? null,
            oneChance: p.oneChance,
            material: p.material,
            machine: p.machine,
            settings: sql.json(p.settings as never),
            chain: p.chain,
            nominal: p.nominal,
            tolerance: p.tolerance,
            entered: sql.json({ ...(p.entered as object), measured: "" }),
          })),
        )}
      `;
    audit({ type: "piece", id: input.buildId, label: `${pieces.length} pieces of ${label}` });
    return { copied: pieces.length };
  },
});
