import type * as row from "@/platform/db/rows";
import "server-only";
import { toCsv } from "@/platform/csv/csv";
import { db } from "@/platform/db/db";
import type { Hit, HomePart, Search, Stage, Stratum } from "@/platform/registry/stage";
import { plural, share } from "@/platform/registry/words";
import { needsActs } from "./acts";
import * as findings from "./commands/findings";
import * as keep from "./commands/keep";
import * as many from "./commands/many";
import * as notes from "./commands/notes";
import * as questions from "./commands/questions";
import * as register from "./commands/register";
import * as requirements from "./commands/requirements";
import * as statements from "./commands/statements";
import * as table from "./commands/table";
import { statusTable } from "./queries/status-table";
import { registerTable } from "./queries/table";
import { needsWaiting } from "./waiting";
import * as withdrawals from "./withdrawals";
import { runWorking, summaryWorking, verdictWorking } from "./workings";

interface Row {
  requirements: number;
  musts: number;
  verifiable: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM requirement WHERE project_id = ${p} AND retired_at IS NULL) AS requirements,
    (
      SELECT count(*)::int
      FROM requirement r
      JOIN LATERAL (
        SELECT priority FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
      ) v ON v.priority = 'must'
      WHERE r.project_id = ${p} AND r.retired_at IS NULL
    ) AS musts,
    (
      SELECT count(*)::int
      FROM requirement r
      JOIN LATERAL (
        SELECT priority, method FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
      ) v ON v.priority = 'must' AND v.method IS NOT NULL
      WHERE r.project_id = ${p} AND r.retired_at IS NULL
    ) AS verifiable
  `,
  line(row) {
    const c = row as unknown as Row;
    if (c.requirements === 0) return [0, "none yet"];
    return [share(c.verifiable, c.musts), `${plural(c.requirements, "requirement")} · ${c.musts} must`];
  },
};

const home: HomePart = {
  columns: (sql) => sql`
    (
      SELECT json_build_object('id', s.id, 'title', s.title)
      FROM source s
      WHERE s.project_id = p.id AND s.closed_at IS NULL AND s.kind = 'interview'
      ORDER BY s.held_on DESC
      LIMIT 1
    ) AS session
  `,
  items(row) {
    const open = row.session as { id: string; title: string } | null;
    const note = "an interview is open: type notes along";
    return open ? [{ what: open.title, note, path: `/needs/sources/${open.id}` }] : [];
  },
};

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<{ code: row.Requirement["code"]; statement: row.RequirementVersion["statement"] }[]>`
    SELECT r.code, v.statement
    FROM requirement r
    JOIN LATERAL (
      SELECT statement FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON true
    WHERE r.project_id = ${projectId} AND r.retired_at IS NULL
      AND plain(r.code || ' ' || v.statement) LIKE plain(${like})
    ORDER BY r.code
    LIMIT 6
  `;
  return rows.map((r) => ({ kind: "requirement", label: r.code, detail: r.statement, path: `/needs?r=${r.code}` }));
}

export const needs: Stage = {
  key: "needs",
  name: "Needs",
  pages: [
    { label: "Needs", path: "/needs" },
    { label: "Questions for the client", path: "/needs/questions" },
    { label: "Interviews and sources", path: "/needs/sources" },
    { label: "Statements", path: "/needs/statements" },
    { label: "Baseline and changes", path: "/needs/changes" },
    { label: "Inspection", path: "/needs/inspection", for: "staff" },
  ],
  shows: [
    "needs",
    "question",
    "note",
    "statement",
    "change",
    "finding",
    "evidence",
    "build",
    "run",
    "protocol",
    "team",
  ],
  commands: [findings, keep, many, notes, questions, register, requirements, statements, table, withdrawals],
  stratum,
  home,
  search,
  waiting: needsWaiting,
  workings: { verdict: verdictWorking, summary: summaryWorking, run: runWorking },
  downloads: {
    requirements: { act: needsActs.read, make: statusTable },
    register: { act: needsActs.read, make: async (p) => toCsv(await registerTable(p.id)) },
  },
};
