import { type Actor, type ProjectRole, staff } from "@/core/access/can";
import { flipsOf } from "@/core/concepts/fragility";
import { countVotes, datumTotals, pairwiseMatrix, pairwiseWeights, weightedTotals } from "@/core/concepts/matrix";
import { adjustForSeverity, concordance } from "@/core/concepts/raters";
import type { ConceptMethod, DatumMark } from "@/core/vocabulary/concepts";
import type { GuestRole } from "@/core/vocabulary/project";
import { makeWorking, type Working } from "@/core/working/working";

import type { Outcome, Selection, SelectionDefinition } from "../queries/selection";

const panel: readonly (ProjectRole | GuestRole)[] = [...staff, "client", "reviewer"];
const raters: Readonly<Record<ConceptMethod, readonly (ProjectRole | GuestRole)[]>> = {
  client: [...staff, "client"],
  vote: [...staff, "student"],
  panel,
  weighted: panel,
  datum: panel,
};

/**
 * Who rates in which school: the client chooses alone, a class votes, everybody who may rate fills a panel or matrix.
 */
export function mayRate(school: ConceptMethod, actor: Actor, projectId: string): boolean {
  const role = actor.kind === "guest" ? actor.role : actor.kind === "person" ? actor.projects[projectId]?.role : null;
  return role != null && raters[school].includes(role);
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

/** How a concept stands in a choice, as its reason. */
export function inWords(x: Selection, row: Outcome["rows"][number], rows: Outcome["rows"]): string {
  const of = `of ${x.sheets.length}`;
  const place = rows.filter(
    (r) => (r.value ?? Number.NEGATIVE_INFINITY) > (row.value ?? Number.NEGATIVE_INFINITY),
  ).length;
  const among = `place ${place + 1} of ${rows.length}`;
  switch (x.school) {
    case "client":
      return `chosen by ${row.shown} ${of}`;
    case "vote":
      return `${row.shown} ${row.value === 1 ? "vote" : "votes"}, ${among}`;
    case "datum":
      return `${row.shown} against the datum, ${among}`;
    case "panel":
    case "weighted":
      return row.value === null ? "not scored in full" : `${row.shown} of ${x.definition.top}, ${among}`;
  }
}
