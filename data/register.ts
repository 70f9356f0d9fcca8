import "server-only";
import Papa from "papaparse";
import { clashingLimits, type Clash, volatility } from "@/core/needs/conflicts";
import { nextCode } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import { limitOf, type RequirementRow, requirementsOf, saveRequirement } from "./needs";
import * as s from "./schemas/front";
import * as needs from "./schemas/needs";

export interface Baseline {
  id: string;
  number: number;
  note: string;
  madeBy: string;
  madeAt: string;
  content: { code: string; version: number; statement: string }[];
}
export interface ChangeRequest {
  id: string;
  requirementId: string | null;
  code: string | null;
  what: string;
  reason: string;
  askedBy: string;
  state: "open" | "accepted" | "declined";
  decision: string;
  decidedBy: string | null;
  decidedAt: string | null;
  createdAt: string;
  version: number;
}

export const baselinesOf = (projectId: string) =>
  db()<Baseline[]>`
    SELECT id, number, note, made_by, made_at, content
    FROM baseline
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;
export const changesOf = (projectId: string) => db()<ChangeRequest[]>`
  SELECT
    c.id, c.requirement_id, r.code, c.what, c.reason, c.asked_by, c.state, c.decision, c.decided_by, c.decided_at,
    c.created_at, c.version
  FROM change_request c
  LEFT JOIN requirement r ON r.id = c.requirement_id
  WHERE c.project_id = ${projectId}
  ORDER BY c.state <> 'open', coalesce(c.decided_at, c.created_at) DESC
`;

/** Fixes the register as it stands: from now on changes of a limit are counted and asked for. */
export const makeBaseline = command({
  name: "makeBaseline",
  act: "needs.edit",
  schema: s.baseline,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ number: number }> {
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const list = await requirementsOf(input.projectId, sql);
    const bad = list.filter((r) => r.priority === "must" && !r.method);
    if (!list.length) refuse("There is no requirement to fix yet.");
    if (bad.length)
      refuse(
        `${bad.map((r) => r.code).join(", ")}: a must without a way to verify it. Say how, then fix the baseline.`,
      );
    const [last] = await sql<
      { number: number }[]
    >`SELECT max(number) AS number FROM baseline WHERE project_id = ${input.projectId}`;
    const number = (last?.number ?? 0) + 1;
    const id = newId();
    await sql`
      INSERT INTO baseline (id, project_id, number, content, note, made_by)
      VALUES (
        ${id}, ${input.projectId}, ${number},
        ${sql.json(list.map((r) => ({ code: r.code, version: r.number, statement: r.statement })))}, ${input.note},
        ${by}
      )
    `;
    audit({ type: "baseline", id, label: `baseline ${number}`, after: { requirements: list.length } });
    return { number };
  },
});

/** Volatility since the first baseline: versions made after it, per week. */
export async function volatilityOf(
  projectId: string,
  today: string,
): Promise<{ perWeek: number | null; changes: number; since: string | null }> {
  const [r] = await db()<{ since: string | null; changes: string[] }[]>`
    WITH b AS (SELECT min(made_at) AS at FROM baseline WHERE project_id = ${projectId})
    SELECT
      b.at::date::text AS since,
      coalesce(
        (
          SELECT array_agg(v.created_at::date::text)
          FROM requirement_version v
          JOIN requirement r ON r.id = v.requirement_id
          WHERE r.project_id = ${projectId} AND v.created_at > b.at
        ),
        '{}'
      ) AS changes
    FROM b
  `;
  const { since, changes } = r!;
  return { perWeek: volatility({ changes, baseline: since, today }), changes: changes.length, since };
}

/** Pairs of requirements in force whose limits cannot both hold. */
export const clashesOf = (list: readonly RequirementRow[]): Clash[] =>
  clashingLimits(list.map((r) => ({ measure: r.measure, limit: limitOf(r) })));

export const askChange = command({
  name: "askChange",
  act: "change.ask",
  schema: s.changeRequest,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    if (input.requirementId)
      found(
        (await sql`SELECT FROM requirement WHERE id = ${input.requirementId} AND project_id = ${input.projectId}`)[0],
        "This requirement",
      );
    const id = newId();
    await sql`
      INSERT INTO change_request (id, project_id, requirement_id, what, reason, asked_by)
      VALUES (${id}, ${input.projectId}, ${input.requirementId ?? null}, ${input.what}, ${input.reason}, ${by})
    `;
    audit({ type: "change request", id, label: input.what, reason: input.reason });
    return { id };
  },
});

export const decideChange = command({
  name: "decideChange",
  act: "needs.edit",
  schema: s.decideChange,
  subject: (sql, i) => projectOf(sql, "change_request", i.id),
  async run({ sql, by, audit }, input) {
    const [c] = await sql<
      { version: number; what: string; state: string }[]
    >`SELECT version, what, state FROM change_request WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(c, "This request"), input.version, { state: "Decision" }, input, c!);
    await sql`
      UPDATE change_request
      SET
        state = ${input.state}, decision = ${input.decision}, decided_by = ${by}, decided_at = app_now(),
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "change request", id: input.id, label: `${c!.what}: ${input.state}`, reason: input.decision });
  },
});

export const ownRequirement = command({
  name: "ownRequirement",
  act: "needs.edit",
  schema: s.requirementOwner,
  subject: (sql, i) => projectOf(sql, "requirement", i.id),
  async run({ sql, audit }, input) {
    if (input.ownerId)
      found(
        (
          await sql`
            SELECT
            FROM requirement r
            WHERE r.id = ${input.id}
              AND (
                EXISTS (SELECT FROM staff WHERE project_id = r.project_id AND person_id = ${input.ownerId}) OR EXISTS (
                  SELECT
                  FROM enrolment e
                  JOIN project_section ps USING (section_id)
                  WHERE ps.project_id = r.project_id AND e.person_id = ${input.ownerId} AND e.to_on IS NULL
                )
              )
          `
        )[0],
        "This person",
      );
    const [r] = await sql<
      { code: string }[]
    >`UPDATE requirement SET owner_id = ${input.ownerId ?? null} WHERE id = ${input.id} RETURNING code`;
    audit({ type: "requirement", id: input.id, label: r?.code, after: { owner: input.ownerId ?? null } });
  },
});

// Trace --------------------------------------------------------------------------------------------------------------

export interface Trace {
  statements: {
    id: string;
    text: string;
    notes: { text: string; author: string; source: string; sourceId: string; question: string | null }[];
  }[];
  rules: string[];
  builds: { id: string; label: string; runs: number }[];
  reviews: { id: string; label: string; verdict: string }[];
}

/** From the words that a requirement came from to the builds, runs and review verdicts that lean on it. */
export async function traceOf(requirementId: string): Promise<Trace> {
  const sql = db();
  const [statements, rules, builds, reviews] = await Promise.all([
    sql<Trace["statements"]>`
      SELECT
        s.id, s.text,
        (
          SELECT coalesce(
            json_agg(
              json_build_object(
                'text', n.text, 'author', n.author, 'source', o.title, 'sourceId', o.id, 'question', q.text
              )
              ORDER BY n.written_at
            ),
            '[]'
          )
          FROM statement_note x
          JOIN note n ON n.id = x.note_id
          JOIN source o ON o.id = n.source_id
          LEFT JOIN question q ON q.id = n.question_id
          WHERE x.statement_id = s.id
        ) AS notes
      FROM statement s
      WHERE s.requirement_id = ${requirementId} AND s.merged_into IS NULL
      ORDER BY s.created_at
    `,
    sql<{ key: string }[]>`SELECT key FROM brief_rule WHERE requirement_id = ${requirementId}`,
    sql<Trace["builds"]>`
      SELECT b.id, t.name || ' G' || b.number AS label, count(DISTINCT e.run_id)::int AS runs
      FROM evidence e
      JOIN build b ON b.id = e.build_id
      JOIN team t ON t.id = b.team_id
      WHERE e.requirement_id = ${requirementId}
      GROUP BY b.id, t.name, b.number
      ORDER BY t.name, b.number
    `,
    sql<Trace["reviews"]>`
      SELECT DISTINCT v.id, v.title || ', ' || t.name AS label, v.verdict
      FROM evidence e
      JOIN review v ON v.build_id = e.build_id
      JOIN team t ON t.id = v.team_id
      WHERE e.requirement_id = ${requirementId} AND v.verdict IS NOT NULL
      ORDER BY label
    `,
  ]);
  return { statements, rules: rules.map((r) => r.key), builds, reviews };
}

// CSV in -------------------------------------------------------------------------------------------------------------

export interface CsvLine {
  line: number;
  code: string | null;
  statement: string;
  does: "adds" | "changes" | "same" | "wrong";
  problem: string | null;
}

const headings: Record<string, string[]> = {
  code: ["code"],
  statement: ["statement", "requirement"],
  kind: ["kind"],
  priority: ["priority"],
  measure: ["measure"],
  comparator: ["comparator"],
  target: ["target"],
  second: ["second"],
  unit: ["unit"],
  method: ["verified by", "method"],
  source: ["from", "source"],
  reason: ["reason"],
};

/**
 * Requirements from a table (CSV or pasted): rows with a known code change that requirement, others are added. Every
 * wrong row is named; nothing is written unless `commit` is given and no row is wrong.
 * The columns are those of the CSV that goes out for editing: Code, Statement, Kind, Priority, Measure (mass, cost or
 * empty), Comparator, Target, Second, Unit, Verified by, From, Reason.
 */
export const importRequirements = command({
  name: "importRequirements",
  act: "needs.edit",
  schema: s.requirementsCsv,
  subject: (_, i) => ({ project: i.projectId }),
  async run(context, input): Promise<{ lines: CsvLine[]; written: number }> {
    const { sql, audit } = context;
    const parsed = Papa.parse<string[]>(input.text.replace(/^\ufeff/, ""), { skipEmptyLines: "greedy" });
    const [head, ...rows] = parsed.data;
    const col = Object.fromEntries(
      Object.entries(headings).map(([k, names]) => [
        k,
        (head ?? []).findIndex((h) => names.includes(h.trim().toLowerCase())),
      ]),
    ) as Record<string, number>;
    if (col.statement! < 0)
      refuse(
        "The first row must name the columns, with at least “Statement”. For example: Code, Statement, Kind, " +
          "Priority, Measure, Comparator, Target, Unit, Verified by, From.",
        "text",
      );
    if (rows.length > 500) refuse("At most 500 requirements at once.", "text");
    const known = await requirementsOf(input.projectId, sql);
    const lines: CsvLine[] = [];
    const inputs: unknown[] = [];
    for (const [i, row] of rows.entries()) {
      const cell = (k: string) => (col[k]! < 0 ? undefined : (row[col[k]!] ?? "").trim().replace(/^'(?=[=+\-@])/, ""));
      const code = cell("code") || null;
      const old = code ? known.find((r) => r.code === code) : undefined;
      const back = (si: string | null | undefined, unit: string | null | undefined) =>
        si == null
          ? ""
          : fromSi(si, unit ?? "1")
              .toSignificantDigits(10)
              .toString();
      const raw = {
        projectId: input.projectId,
        id: old?.id,
        version: old?.rowVersion ?? 0,
        statement: cell("statement"),
        kind: cell("kind")?.toLowerCase() || old?.kind || "constraint",
        priority: cell("priority")?.toLowerCase() || old?.priority || "should",
        measure: cell("measure") ?? old?.measure ?? "",
        comparator: (cell("comparator") ?? old?.comparator ?? "")
          .replace("<=", "≤")
          .replace(">=", "≥")
          .replace("+-", "±"),
        unit: cell("unit") ?? old?.unit ?? "",
        target: cell("target") ?? back(old?.target, old?.unit),
        second: cell("second") ?? back(old?.second, old?.unit),
        sides: old?.sides ? `${old.sides.map((x) => Number(x) * 1000).join(" × ")} mm` : "",
        method: cell("method")?.toLowerCase() || old?.method || "",
        source: cell("source") ?? old?.source ?? "",
        reason: cell("reason") || (old ? "changed in a table" : ""),
      };
      const same =
        old &&
        (["statement", "kind", "priority", "comparator", "method", "source"] as const).every(
          (k) => (raw[k] ?? "") === (old[k] ?? ""),
        ) &&
        (raw.measure || "") === (old.measure ?? "") &&
        Number(raw.target || 0) === Number(back(old.target, old.unit) || 0) &&
        Number(raw.second || 0) === Number(back(old.second, old.unit) || 0);
      let problem: string | null =
        code && !old ? `There is no requirement ${code}; leave its code empty to add it.` : null;
      if (!problem && !same)
        try {
          inputs.push(await needs.requirement.validate(raw, { abortEarly: true, stripUnknown: true }));
        } catch (e) {
          problem = `${(e as { path?: string }).path ?? ""}: ${(e as Error).message}`;
        }
      lines.push({
        line: i + 2,
        code: code ?? null,
        statement: raw.statement ?? "",
        does: problem ? "wrong" : same ? "same" : old ? "changes" : "adds",
        problem,
      });
    }
    const wrong = lines.filter((l) => l.problem);
    let written = 0;
    if (input.commit && !wrong.length)
      for (const x of inputs) {
        await saveRequirement.run({ ...context, audit: context.audit }, x as never);
        written++;
      }
    audit({
      type: "register",
      label: input.commit ? `${written} requirements from a table` : "table looked at",
      after: { rows: rows.length, wrong: wrong.length },
    });
    return { lines, written };
  },
});

/** The register as a table that comes in again unchanged. */
export async function registerTable(projectId: string): Promise<(string | number | null)[][]> {
  const list = await requirementsOf(projectId);
  const back = (si: string | null, unit: string | null) =>
    si === null
      ? ""
      : fromSi(si, unit ?? "1")
          .toSignificantDigits(10)
          .toString();
  return [
    [
      "Code",
      "Statement",
      "Kind",
      "Priority",
      "Measure",
      "Comparator",
      "Target",
      "Second",
      "Unit",
      "Verified by",
      "From",
      "Reason",
    ],
    ...list.map((r) => [
      r.code,
      r.statement,
      r.kind,
      r.priority,
      r.measure ?? "",
      r.comparator ?? "",
      back(r.target, r.unit),
      back(r.second, r.unit),
      r.unit ?? "",
      r.method ?? "",
      r.source,
      "",
    ]),
  ];
}

/** A statement becomes a requirement, which keeps its words as its source. */
export const adoptStatement = command({
  name: "adoptStatement",
  act: "needs.edit",
  schema: s.byId,
  subject: (sql, i) => projectOf(sql, "statement", i.id),
  async run({ sql, by, audit }, input): Promise<{ requirementId: string; code: string }> {
    const [st] = await sql<
      { projectId: string; text: string; requirementId: string | null }[]
    >`SELECT project_id, text, requirement_id FROM statement WHERE id = ${input.id} FOR UPDATE`;
    if (found(st, "This statement").requirementId) refuse("This statement is a requirement already.");
    await sql`SELECT FROM project WHERE id = ${st!.projectId} FOR UPDATE`;
    const [first] = await sql<{ text: string; source: string }[]>`
      SELECT n.text, o.title AS source
      FROM statement_note x
      JOIN note n ON n.id = x.note_id
      JOIN source o ON o.id = n.source_id
      WHERE x.statement_id = ${input.id}
      ORDER BY n.written_at
      LIMIT 1
    `;
    const code = nextCode(
      (await sql<{ code: string }[]>`SELECT code FROM requirement WHERE project_id = ${st!.projectId}`).map(
        (r) => r.code,
      ),
    );
    const requirementId = newId();
    await sql`INSERT INTO requirement (id, project_id, code) VALUES (${requirementId}, ${st!.projectId}, ${code})`;
    await sql`
      INSERT INTO requirement_version ${sql({
        id: newId(),
        requirementId,
        number: 1,
        statement: st!.text,
        kind: "constraint",
        priority: "should",
        source: first ? `${first.source}: “${first.text}”`.slice(0, 600) : "",
        createdBy: by,
      })}
    `;
    await sql`UPDATE statement SET requirement_id = ${requirementId}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "requirement", id: requirementId, label: `${code} ${st!.text}`, after: { from: "statement" } });
    return { requirementId, code };
  },
});

/** For every requirement: how many statements lead to it. */
export const tracedCounts = async (projectId: string, sql: Tx = db()): Promise<Map<string, number>> =>
  new Map(
    (
      await sql<{ id: string; n: number }[]>`
        SELECT requirement_id AS id, count(*)::int AS n
        FROM statement
        WHERE project_id = ${projectId} AND requirement_id IS NOT NULL AND merged_into IS NULL
        GROUP BY 1
      `
    ).map((r) => [r.id, r.n]),
  );
