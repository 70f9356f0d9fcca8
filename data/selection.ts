import "server-only";
import type { Actor } from "@/core/access/can";
import { flipsOf, type Flip, type FragilityInput } from "@/core/concepts/fragility";
import {
  countVotes,
  type DatumMark,
  datumTotals,
  pairwiseMatrix,
  pairwiseWeights,
  weightedTotals,
} from "@/core/concepts/matrix";
import { adjustForSeverity, concordance, type RaterModel } from "@/core/concepts/raters";
import { makeWorking, type Working } from "@/core/working/working";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { setFate } from "./concepts";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/front";
import type { ConceptSchool } from "./settings";

export interface SelectionDefinition {
  criteria: { key: string; name: string; weight: number }[];
  top: number;
  keep: number;
  votes: number;
  datum: string | null;
  severity: "raw" | "adjusted";
  pairs?: Record<string, number>;
}
export interface SelectionSheet {
  id: string;
  raterPerson: string | null;
  raterGuest: string | null;
  raterName: string;
  marks: Record<string, unknown>;
  handedInAt: string;
}
export interface Selection {
  id: string;
  projectId: string;
  title: string;
  school: ConceptSchool;
  definition: SelectionDefinition;
  concepts: { id: string; title: string; fate: string; fateReason: string }[];
  closedAt: string | null;
  createdBy: string;
  createdAt: string;
  version: number;
  sheets: SelectionSheet[];
}

export const selectionsOf = (projectId: string) => db()<Selection[]>`
  SELECT
    x.id, x.project_id, x.title, x.school, x.definition, x.closed_at, x.created_by, x.created_at, x.version,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('id', k.id, 'title', k.title, 'fate', k.fate, 'fateReason', k.fate_reason)
          ORDER BY array_position(x.concepts, k.id)
        ),
        '[]'
      )
      FROM concept k
      WHERE k.id = ANY(x.concepts)
    ) AS concepts,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', h.id, 'raterPerson', h.rater_person, 'raterGuest', h.rater_guest, 'raterName', h.rater_name, 'marks',
            h.marks, 'handedInAt', h.handed_in_at
          )
          ORDER BY h.handed_in_at, h.id
        ),
        '[]'
      )
      FROM selection_sheet h
      WHERE h.selection_id = x.id
    ) AS sheets
  FROM selection x
  WHERE x.project_id = ${projectId}
  ORDER BY x.closed_at IS NOT NULL, x.created_at DESC
`;

/**
 * Who rates in which school: the client chooses alone, a class votes, everybody who may rate fills a panel or matrix.
 */
export function mayRate(school: ConceptSchool, actor: Actor, projectId: string): boolean {
  const role =
    actor.kind === "guest" ? actor.role : actor.kind === "person" ? actor.projects[projectId]?.role : undefined;
  if (school === "client") return role === "client" || role === "owner" || role === "co";
  if (school === "vote") return role === "student" || role === "owner" || role === "co";
  return role !== "student" && role !== undefined;
}

const ofSelection = (sql: Tx, id: string) => projectOf(sql, "selection", id);

export const openSelection = command({
  name: "openSelection",
  act: "concept.decide",
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

/** Changes the weights of a matrix, by hand or from pairwise comparisons, which stay on record. */
export const weighSelection = command({
  name: "weighSelection",
  act: "concept.decide",
  schema: s.selectionWeights,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<
      { version: number; definition: SelectionDefinition; title: string; closedAt: string | null }[]
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
    const definition = {
      ...x!.definition,
      criteria: x!.definition.criteria.map((c, i) => ({ ...c, weight: input.weights[i]! })),
      ...(input.pairs ? { pairs: input.pairs } : {}),
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

const marks = ["+", "0", "−"];
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
  act: "concept.rate",
  schema: s.selectionSheet,
  subject: (sql, i) => ofSelection(sql, i.selectionId),
  async run({ sql, actor, by, audit }, input) {
    const [row] = await sql<{ projectId: string }[]>`SELECT project_id FROM selection WHERE id = ${input.selectionId}`;
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

export interface Outcome {
  rows: {
    id: string;
    title: string;
    value: number | null;
    shown: string;
    working: Working;
    raw?: string;
    note?: string;
  }[];
  agreement: number | null;
  raters: RaterModel | null;
  flips: Flip[];
  fragility: FragilityInput | null;
  warnings: string[];
}

const numbers = (x: Selection) =>
  x.sheets.map((h) => ({ name: h.raterName, of: (k: string) => h.marks[k] as Record<string, number> | undefined }));
const three = (v: number | null) => (v === null ? "–" : v.toFixed(2));

/**
 * Where a selection stands, by its school: votes, panel or matrix totals with working, agreement of the raters, and how
 * fragile the winner is.
 */
export function outcomeOf(x: Selection): Outcome {
  const d = x.definition;
  const options = x.concepts.map((k) => ({ key: k.id, name: k.title }));
  const sorted = (rows: Outcome["rows"]) => [...rows].sort((a, b) => (b.value ?? -1e9) - (a.value ?? -1e9));
  if (x.school === "client" || x.school === "vote") {
    const ballots = x.sheets.map((h) => (Array.isArray(h.marks.chosen) ? h.marks.chosen.map(String) : []));
    const counted = countVotes(
      options.map((o) => o.key),
      ballots,
    );
    const why = (k: string) =>
      x.sheets
        .flatMap((h) => {
          const r = (h.marks.reasons as Record<string, string> | undefined)?.[k];
          return r ? [`${h.raterName}: ${r}`] : [];
        })
        .join(" · ");
    return {
      rows: sorted(
        counted.map((c) => ({
          id: c.option,
          title: options.find((o) => o.key === c.option)!.name,
          value: c.votes,
          shown: String(c.votes),
          note: why(c.option),
          working: makeWorking({
            title: "Votes",
            result: String(c.votes),
            rule: `Each rater chooses up to ${x.school === "client" ? d.keep : d.votes}; every choice is one vote.`,
            steps: [`${c.votes} of ${ballots.length} raters`],
          }),
        })),
      ),
      agreement: null,
      raters: null,
      flips: [],
      fragility: null,
      warnings: [],
    };
  }
  if (x.school === "datum") {
    // Several raters: the mark that most give; a tie is 0.
    const most = (k: string, c: string): DatumMark | undefined => {
      const all = x.sheets.flatMap(
        (h) => ((h.marks[k] as Record<string, DatumMark> | undefined)?.[c] ?? []) as DatumMark[],
      );
      if (!all.length) return undefined;
      const n = (m: DatumMark) => all.filter((y) => y === m).length;
      return n("+") > n("−") && n("+") > n("0") ? "+" : n("−") > n("+") && n("−") > n("0") ? "−" : "0";
    };
    const table = Object.fromEntries(
      options.map((o) => [o.key, Object.fromEntries(d.criteria.map((c) => [c.key, most(o.key, c.key)]))]),
    );
    const rows = datumTotals(d.criteria, options, table, d.datum ?? "");
    return {
      rows: sorted(
        rows.map((r) => ({
          id: r.option.key,
          title: r.option.name,
          value: r.net,
          shown: r.net > 0 ? `+${r.net}` : String(r.net).replace("-", "−"),
          working: r.working,
          note: `${r.plus} better, ${r.same} same, ${r.minus} worse${r.missing ? `, ${r.missing} not marked` : ""}`,
        })),
      ),
      agreement: null,
      raters: null,
      flips: [],
      fragility: null,
      warnings: [],
    };
  }
  const raters = numbers(x);
  // Each rater's weighted total of each concept that this rater scored in full.
  const ratings = raters.flatMap((r) =>
    weightedTotals(d.criteria, options, Object.fromEntries(options.map((o) => [o.key, r.of(o.key) ?? {}]))).flatMap(
      (t) => (t.total.value === null ? [] : [{ option: t.option.key, rater: r.name, score: t.total.value }]),
    ),
  );
  const model = ratings.length ? adjustForSeverity(ratings) : null;
  const mean = (k: string, c: string) => {
    const all = raters.flatMap((r) => {
      const v = r.of(k)?.[c];
      return typeof v === "number" ? [v] : [];
    });
    return all.length ? all.reduce((p, q) => p + q, 0) / all.length : null;
  };
  const means = Object.fromEntries(
    options.map((o) => [o.key, Object.fromEntries(d.criteria.map((c) => [c.key, mean(o.key, c.key)]))]),
  );
  const totals = weightedTotals(d.criteria, options, means);
  const full = totals.filter((t) => t.total.value !== null);
  const rows = totals.map((t) => {
    const m = model?.options.find((o) => o.option === t.option.key);
    const adjusted = d.severity === "adjusted" && m?.adjusted.value !== undefined;
    const value = adjusted ? m!.adjusted.value : (m?.raw.value ?? t.total.value);
    const rename = (w: Working): Working => ({
      ...w,
      title: w.title.replace(t.option.key, t.option.name),
      warnings: w.warnings.map((v) => options.reduce((text, o) => text.replaceAll(o.key, o.name), v)),
    });
    return {
      id: t.option.key,
      title: t.option.name,
      value,
      shown: three(value),
      working: rename(
        adjusted
          ? m!.adjusted.working
          : raters.length === 1 || !m
            ? t.total.working
            : { ...m.raw.working, steps: [...m.raw.working.steps, ...t.total.working.steps] },
      ),
      raw: m ? three(m.raw.value) : undefined,
      note:
        m && raters.length > 1
          ? `raw ${three(m.raw.value)}, adjusted ${three(m.adjusted.value)}, ${m.n} raters`
          : undefined,
    };
  });
  const complete = raters.filter((r) =>
    options.every((o) => ratings.some((t) => t.rater === r.name && t.option === o.key)),
  );
  const fragility =
    full.length > 1 && d.criteria.length > 1
      ? {
          criteria: d.criteria,
          options: full.map((t) => ({ key: t.option.key, name: t.option.name })),
          scores: full.map((t) => d.criteria.map((c) => means[t.option.key]![c.key]!)),
        }
      : null;
  return {
    rows: sorted(rows),
    raters: raters.length > 1 ? model : null,
    fragility,
    flips: fragility ? flipsOf(fragility) : [],
    agreement:
      complete.length > 1
        ? concordance(
            complete.map((r) =>
              options.map((o) => ratings.find((t) => t.rater === r.name && t.option === o.key)!.score),
            ),
          )
        : null,
    warnings:
      model && model.groups.length > 1
        ? [
            "No rater connects " +
              model.groups.map((g) => g.map((k) => options.find((o) => o.key === k)?.name).join(", ")).join(" with ") +
              ": their scores cannot be compared.",
          ]
        : [],
  };
}

/** Weights from the pairwise answers of a selection, with their consistency. */
export const pairwiseOf = (d: SelectionDefinition) =>
  d.criteria.length > 1 ? pairwiseWeights(pairwiseMatrix(d.criteria.length, d.pairs ?? {})) : null;

/** Ends a selection: the concepts that go on and those set aside, each with its reason on record. */
export const closeSelection = command({
  name: "closeSelection",
  act: "concept.decide",
  schema: s.closeSelection,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, by, audit }, input) {
    const [row] = await sql<
      { projectId: string; version: number }[]
    >`SELECT project_id, version FROM selection WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(row, "This selection"), input.version, {}, {}, {});
    const x = (await selectionsOf(row!.projectId)).find((y) => y.id === input.id)!;
    if (x.closedAt) refuse("This selection is closed already.");
    if (!input.going.length) refuse("Nothing goes on. Choose at least one concept.");
    if (input.going.length > x.definition.keep)
      refuse(`${x.definition.keep} of ${x.concepts.length} go on; ${input.going.length} are chosen.`);
    const o = outcomeOf(x);
    for (const k of x.concepts) {
      const r = o.rows.find((y) => y.id === k.id);
      const goes = input.going.includes(k.id);
      const reason =
        input.reasons[k.id]?.trim() ||
        r?.note ||
        `${x.title}: ${r ? `${r.shown}, place ${o.rows.indexOf(r) + 1} of ${o.rows.length}` : "not scored"}`;
      await setFate(
        sql,
        { id: k.id, projectId: x.projectId },
        goes ? "goes on" : "set aside",
        reason,
        `${by}, ${x.title}`,
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

export const reopenSelection = command({
  name: "reopenSelection",
  act: "concept.decide",
  schema: s.selectionId,
  subject: (sql, i) => ofSelection(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<{ title: string }[]>`
      UPDATE selection
      SET closed_at = NULL, version = version + 1
      WHERE id = ${input.id} AND closed_at IS NOT NULL
      RETURNING title
    `;
    audit({ type: "selection", id: input.id, label: found(x, "A closed selection").title, after: { reopened: true } });
  },
});
