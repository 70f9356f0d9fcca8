import { datumMark } from "@/core/vocabulary/concepts";
import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { conceptActs } from "../acts";
import { type Selection, type SelectionDefinition, selectionsOf } from "../queries/selection";
import * as s from "../schema";
import { inWords, mayRate, outcomeOf } from "../view/selection";
import { setFate } from "./fate";

const ofSelection = (sql: Tx, id: string) => projectOf(sql, "selection", id);

export const openSelection = command({
  name: "openSelection",
  act: conceptActs.decide,
  schema: s.selection,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const known =
      await sql`SELECT id FROM concept WHERE project_id = ${input.projectId} AND id IN ${sql(input.conceptIds)}`;
    if (known.length !== input.conceptIds.length) refuse("One of these concepts is not here (any more).");
    if (input.school === "datum" && !input.conceptIds.includes(input.datum ?? ""))
      refuse("Choose the datum: the concept that the others are compared with.", "datum");
    if (input.keep > input.conceptIds.length) refuse(`Only ${input.conceptIds.length} concepts stand here.`, "keep");
    const id = newId();
    const definition: SelectionDefinition = {
      criteria: input.criteria,
      top: input.top,
      keep: input.keep,
      votes: input.votes,
      datum: input.datum ?? null,
      severity: input.severity,
    };
    await sql`
      INSERT INTO selection (id, project_id, title, school, definition, concepts, created_by)
      VALUES (
        ${id}, ${input.projectId}, ${input.title}, ${input.school}, ${sql.json(definition as never)},
        ${input.conceptIds}::uuid[], ${by}
      )
    `;
    audit({ type: "selection", id, label: input.title, after: input });
    return { id };
  },
});

/** Gives a choice another title. */
export const renameSelection = command({
  name: "renameSelection",
  act: conceptActs.decide,
  schema: s.renameSelection,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<
      { version: row.Selection["version"]; title: row.Selection["title"] }[]
    >`SELECT version, title FROM selection WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(x, "This selection"), input.version, { title: "Title" }, input, x!);
    await sql`UPDATE selection SET title = ${input.title}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "selection", id: input.id, label: input.title, before: { title: x!.title } });
  },
});

/** Changes the weights of a matrix, by hand or from pairwise comparisons, which stay on record. */
export const weighSelection = command({
  name: "weighSelection",
  act: conceptActs.decide,
  schema: s.selectionWeights,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, audit, by, today }, input) {
    const [x] = await sql<
      {
        version: row.Selection["version"];
        definition: SelectionDefinition;
        title: row.Selection["title"];
        closedAt: row.Selection["closedAt"];
      }[]
    >`SELECT version, definition, title, closed_at FROM selection WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(
      found(x, "This selection"),
      input.version,
      { weights: "Weights" },
      { weights: input.weights.join(", ") },
      { weights: x!.definition.criteria.map((c) => c.weight).join(", ") },
    );
    if (x!.closedAt) refuse("This selection is closed. Its weights stay as they were.");
    if (input.weights.length !== x!.definition.criteria.length) refuse("Give one weight for each criterion.");
    const [{ sheets } = { sheets: 0 }] = await sql<
      { sheets: number }[]
    >`SELECT count(*)::int AS sheets FROM selection_sheet WHERE selection_id = ${input.id}`;
    if (sheets && !input.reason)
      refuse("Sheets are in already: say why the weights change, so that those who scored can read it.", "reason");
    const before = x!.definition.criteria.map((c) => c.weight);
    const definition: SelectionDefinition = {
      ...x!.definition,
      criteria: x!.definition.criteria.map((c, i) => ({ ...c, weight: input.weights[i]! })),
      ...(input.pairs ? { pairs: input.pairs } : {}),
      // Weights that change after somebody has scored leave their mark.
      ...(sheets
        ? { reweighed: [...(x!.definition.reweighed ?? []), { before, sheets, by, on: today, reason: input.reason }] }
        : {}),
    };
    await sql`
      UPDATE selection SET definition = ${sql.json(definition as never)}, version = version + 1 WHERE id = ${input.id}
    `;
    audit({
      type: "selection",
      id: input.id,
      label: x!.title,
      before: x!.definition.criteria,
      after: definition.criteria,
    });
  },
});

const marks: readonly string[] = datumMark.values;

/** What is wrong with a rater's sheet, in words; null when it can be kept. */
function wrongSheet(x: Selection, given: Record<string, unknown>): string | null {
  const ids = new Set(x.concepts.map((k) => k.id));
  const d = x.definition;
  if (x.school === "client" || x.school === "vote") {
    const chosen = given.chosen;
    if (!Array.isArray(chosen) || chosen.some((c) => !ids.has(String(c)))) return "Choose from the list.";
    const most = x.school === "client" ? d.keep : d.votes;
    if (chosen.length === 0) return x.school === "client" ? "Choose at least one concept." : "Give at least one vote.";
    if (new Set(chosen).size > most) return `At most ${most} can be chosen.`;
    const reasons = (given.reasons ?? {}) as Record<string, unknown>;
    const bare =
      x.school === "client"
        ? x.concepts.find((k) => chosen.includes(k.id) && !String(reasons[k.id] ?? "").trim())
        : undefined;
    return bare ? `Say in a few words why you choose “${bare.title}”: the students read it.` : null;
  }
  for (const k of x.concepts) {
    if (x.school === "datum" && k.id === d.datum) continue;
    const row = (given[k.id] ?? {}) as Record<string, unknown>;
    for (const c of d.criteria) {
      const v = row[c.key];
      if (v === undefined || v === null || v === "") continue;
      if (x.school === "datum" ? !marks.includes(String(v)) : typeof v !== "number" || v < 0 || v > d.top)
        return x.school === "datum"
          ? `${k.title}, ${c.name}: mark it +, 0 or −.`
          : `${k.title}, ${c.name}: a score from 0 to ${d.top}.`;
    }
  }
  return null;
}

/** A rater's sheet: handed in again it replaces the earlier one. */
export const rateConcepts = command({
  name: "rateConcepts",
  act: conceptActs.rate,
  schema: s.selectionSheet,
  subject: (sql, i) => ofSelection(sql, i.selectionId),
  async run({ sql, actor, by, audit }, input) {
    const [row] = await sql<
      { projectId: row.Selection["projectId"] }[]
    >`SELECT project_id FROM selection WHERE id = ${input.selectionId}`;
    const x = found(
      (await selectionsOf(row!.projectId)).find((y) => y.id === input.selectionId),
      "This selection",
    );
    if (x.closedAt) refuse("This selection is closed.");
    if (!mayRate(x.school, actor, x.projectId))
      refuse(
        x.school === "client"
          ? "Here the client chooses."
          : x.school === "vote"
            ? "Here the class votes."
            : "Here a panel scores.",
      );
    const wrong = wrongSheet(x, input.marks);
    if (wrong) refuse(wrong);
    const rater =
      actor.kind === "person"
        ? { raterPerson: actor.id, raterGuest: null }
        : { raterPerson: null, raterGuest: actor.id };
    await sql`
      DELETE
      FROM selection_sheet
      WHERE selection_id = ${x.id} AND (rater_person = ${rater.raterPerson} OR rater_guest = ${rater.raterGuest})
    `;
    await sql`
      INSERT INTO selection_sheet (id, project_id, selection_id, rater_person, rater_guest, rater_name, marks)
      VALUES (
        ${newId()}, ${x.projectId}, ${x.id}, ${rater.raterPerson}, ${rater.raterGuest}, ${by},
        ${sql.json(input.marks as never)}
      )
    `;
    audit({
      type: "selection",
      id: x.id,
      label: `${x.title}: ${by}`,
      after: x.school === "vote" ? { voted: true } : input.marks,
    });
  },
});

/** Ends a selection: the concepts that go on and those set aside, each with its reason on record. */
export const closeSelection = command({
  name: "closeSelection",
  act: conceptActs.decide,
  schema: s.closeSelection,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, by, audit }, input) {
    const [row] = await sql<
      { projectId: row.Selection["projectId"]; version: row.Selection["version"] }[]
    >`SELECT project_id, version FROM selection WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(row, "This selection"), input.version, {}, {}, {});
    const x = (await selectionsOf(row!.projectId)).find((y) => y.id === input.id)!;
    if (x.closedAt) refuse("This selection is closed already.");
    if (!input.going.length) refuse("Nothing goes on. Choose at least one concept.");
    if (input.going.length > x.definition.keep)
      refuse(`${x.definition.keep} of ${x.concepts.length} go on; ${input.going.length} are chosen.`);
    const o = outcomeOf(x);
    const given = (id: string) => input.reasons[id]?.trim() ?? "";
    if (!x.sheets.length && x.concepts.some((k) => !given(k.id)))
      refuse("No sheet is in, so the result is no reason yet. Write a reason for each concept, or wait for sheets.");
    for (const k of x.concepts) {
      const r = o.rows.find((y) => y.id === k.id);
      const goes = input.going.includes(k.id);
      const reason = given(k.id) || r?.note || `${x.title}: ${r ? inWords(x, r, o.rows) : "not scored"}`;
      await setFate(
        sql,
        { id: k.id, projectId: x.projectId },
        goes ? "goes on" : "set aside",
        reason,
        `${by}, ${x.title}`,
        x.id,
      );
    }
    await sql`UPDATE selection SET closed_at = app_now(), version = version + 1 WHERE id = ${input.id}`;
    audit({
      type: "selection",
      id: input.id,
      label: x.title,
      after: { going: x.concepts.filter((k) => input.going.includes(k.id)).map((k) => k.title) },
    });
  },
});

/** Opens a choice again; what it decided is open again too, where nobody has decided otherwise since. */
export const reopenSelection = command({
  name: "reopenSelection",
  act: conceptActs.decide,
  schema: s.selectionId,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, by, audit }, input) {
    const [x] = await sql<{ title: string; projectId: row.Selection["projectId"] }[]>`
      UPDATE selection
      SET closed_at = NULL, version = version + 1
      WHERE id = ${input.id} AND closed_at IS NOT NULL
      RETURNING title, project_id
    `;
    const { title, projectId } = found(x, "A closed selection");
    const decided = await sql<{ id: row.Concept["id"] }[]>`
      SELECT concept_id AS id
      FROM (
        SELECT DISTINCT ON (concept_id) concept_id, selection_id
        FROM concept_fate
        WHERE project_id = ${projectId}
        ORDER BY concept_id, decided_at DESC, id DESC
      ) last
      WHERE selection_id = ${input.id}
    `;
    for (const k of decided)
      await setFate(sql, { id: k.id, projectId }, "open", `“${title}” was opened again`, by, input.id);
    audit({ type: "selection", id: input.id, label: title, after: { reopened: true, open: decided.length } });
  },
});
