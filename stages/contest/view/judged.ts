import { type Agreement, agreement, groupsWhenMarked, type JudgedRules, type JudgeSheet } from "@/core/contest/judged";
import { listed } from "@/core/text/listed";
import type { JudgedEvent } from "../queries/judged";
import type { StoredSheet } from "../queries/judged-facts";
import type { MatchEntry } from "../queries/match-facts";

/** The sheets that count. */
export const markedSheets = (sheets: readonly StoredSheet[]): JudgeSheet[] =>
  sheets.filter((s) => s.state === "marked").map((s) => ({ entry: s.entryId, judge: s.judge, marks: s.marks }));

/** A team as one judge marks it. */
export interface JudgedRow {
  readonly entryId: string;
  readonly team: string;
  readonly order: number | null;
  readonly build: string;
  /** Which version of the judge's own sheet this is; 0 for none. */
  readonly version: number;
  readonly state: StoredSheet["state"] | null;
  readonly marks: Readonly<Record<string, number>>;
  readonly note: string;
}

/** The teams of a judged event as one judge marks them: those that are not marked yet first. */
export function judgedRows(event: Pick<JudgedEvent, "entries" | "sheets">, judgeId: string): JudgedRow[] {
  const rows = event.entries.map((n): JudgedRow => {
    const own = event.sheets.find((s) => s.entryId === n.id && s.judgeId === judgeId);
    return {
      entryId: n.id,
      team: n.team,
      order: n.seed,
      build: n.build ? `G${n.build}` : "no build",
      version: own?.version ?? 0,
      state: own?.state ?? null,
      marks: own?.marks ?? {},
      note: own?.note ?? "",
    };
  });
  return [...rows.filter((r) => r.state === null), ...rows.filter((r) => r.state !== null)];
}

/** How the judging stands: how far the judges are, whether they agree, and what needs a look. */
export interface Judging {
  readonly agreement: Agreement;
  /** Each judge with what they have marked of it all, and from whom they stepped back. */
  readonly judges: readonly {
    readonly id: string;
    readonly name: string;
    readonly marked: number;
    readonly stepped: readonly string[];
    /** Whom they have not marked yet, in words. */
    readonly missing: string;
    /** How much above (+) or below (−) the average judge they mark, of 100, in words. */
    readonly severity: string;
  }[];
  /** What needs a look, in sentences. */
  readonly says: readonly string[];
}

const severityWords = (by: number | undefined, alone: boolean): string =>
  by === undefined || alone
    ? "–"
    : Math.abs(by) < 0.05
      ? "as the average judge"
      : `${Math.abs(by).toFixed(1)} ${by > 0 ? "above" : "below"} the average judge`;

function groupWords(groups: readonly (readonly string[])[], team: (id: string) => string, method: string): string {
  const parts = groups.map((g) => listed(g.map(team)));
  return (
    `No judge connects ${parts.join(" with ")}: ` +
    (method === "adjusted"
      ? "their adjusted marks cannot be compared, and nobody has a place until a judge has marked a team of each."
      : "a severe judge of one group cannot be told from a weak group.")
  );
}

/**
 * How the judging of an event stands.
 * @param links judges with a link, who may not have begun
 */
export function judging(
  event: Pick<JudgedEvent, "sheets"> & {
    readonly rules: JudgedRules;
    readonly entries: readonly Pick<MatchEntry, "id" | "team">[];
  },
  links: readonly { readonly id: string; readonly name: string }[],
): Judging {
  const { rules, entries } = event;
  const team = (id: string) => entries.find((n) => n.id === id)?.team ?? "";
  const live = event.sheets.filter((s) => s.state !== "aside");
  const found = agreement(rules, markedSheets(live));
  const known = new Map(live.map((s) => [s.judgeId as string, s.judge]));
  for (const l of links) if (!known.has(l.id)) known.set(l.id, l.name);
  const judges = [...known].map(([id, name]) => {
    const own = live.filter((s) => s.judgeId === id);
    const stepped = own.filter((s) => s.state === "stepped").map((s) => team(s.entryId));
    const done = new Set(own.map((s) => s.entryId));
    const marked = own.filter((s) => s.state === "marked").length;
    return {
      id,
      name,
      marked,
      stepped,
      missing: done.size
        ? entries
            .filter((n) => !done.has(n.id))
            .map((n) => n.team)
            .join(", ") || "–"
        : "everybody",
      severity: severityWords(found.severity.find((s) => s.judge === name)?.by, found.severity.length < 2),
    };
  });
  const ever = groupsWhenMarked(
    entries.map((n) => n.id),
    [...known.keys()],
    live.filter((s) => s.state === "stepped").map((s) => ({ entry: s.entryId, judge: s.judgeId })),
  );
  const nobody = entries.filter((n) => !ever.some((g) => g.includes(n.id)));
  return {
    agreement: found,
    judges,
    says: [
      ...(known.size > 0 && nobody.length > 0
        ? [`Every judge steps back from ${listed(nobody.map((n) => n.team))}: another judge is needed.`]
        : []),
      ...(ever.length > 1
        ? [`Even when everything is marked: ${groupWords(ever, team, rules.method)}`]
        : found.groups.length > 1
          ? [groupWords(found.groups, team, rules.method)]
          : []),
      ...found.odd.map(
        (o) =>
          `${o.judge} marked ${team(o.entry)} ${Math.abs(o.by).toFixed(1)} ${o.by > 0 ? "higher" : "lower"} than the ` +
          "other sheets let expect: ask before the result is confirmed.",
      ),
    ],
  };
}

/** How far the judges agree, in words; or the reviewers. */
export function agreementWords({ w, judges }: Pick<Agreement, "w" | "judges">, who = "judges"): string {
  if (judges < 2) return `Agreement is computed once two ${who} have marked every team.`;
  if (w === null) return `${judges} ${who} gave every team the same: nothing to agree on.`;
  const how = w >= 0.7 ? "they agree well" : w >= 0.4 ? "they agree in part" : "they hardly agree";
  return (
    `Of the ${judges} ${who} who marked every team, W = ${w.toFixed(2)}: ${how} on the order ` +
    "(1 is full agreement, 0 none)."
  );
}
