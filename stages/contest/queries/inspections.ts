import type { InspectionOutcome, InspectionState } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";
import { projectUnits } from "@/platform/project/settings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { type Check, type InspectionLine, inspectionLines } from "../view/inspection";

/** An inspection on record. */
export interface Inspected {
  readonly id: string;
  readonly number: number;
  readonly outcome: InspectionOutcome;
  readonly checks: readonly Check[];
  readonly waiver: string;
  readonly note: string;
  readonly by: string;
  readonly at: string;
  /** The build has been changed since. */
  readonly changed: boolean;
}

/** A build that enters an event, with its inspections, the newest first. */
export interface Entered {
  readonly buildId: string;
  readonly build: number;
  readonly team: string;
  readonly state: InspectionState;
  readonly note: string;
  readonly inspections: readonly Inspected[];
}

/** Every build that enters an event of a project, once, by team, with its inspections. */
export const enteredOf = (projectId: string, sql: Tx = db()) => sql<Entered[]>`
  SELECT
    b.id AS build_id, b.number AS build, t.name AS team, n.inspection AS state, n.inspection_note AS note,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', i.id, 'number', i.number, 'outcome', i.outcome, 'checks', i.checks, 'waiver', i.waiver,
            'note', i.note, 'by', i.recorded_by, 'at', i.recorded_at, 'changed', i.build_revision <> b.revision
          )
          ORDER BY i.number DESC
        ),
        '[]'
      )
      FROM inspection i
      WHERE i.build_id = b.id
    ) AS inspections
  FROM (
    SELECT DISTINCT ON (n.build_id) n.build_id, n.inspection, n.inspection_note
    FROM entry n
    JOIN event e ON e.id = n.event_id
    WHERE e.project_id = ${projectId} AND n.build_id IS NOT NULL
    ORDER BY n.build_id, e.state = 'confirmed', n.id
  ) n
  JOIN build b ON b.id = n.build_id
  JOIN team t ON t.id = b.team_id
  ORDER BY t.name, b.number
`;

const allowed = cache(
  (projectId: string, sql: Tx) => sql<row.AllowedPart[]>`
    SELECT * FROM allowed_part WHERE project_id = ${projectId} ORDER BY lower(name)
  `,
);

/** The parts that a project allows by count; asked once a page. */
export const allowedOf = (projectId: string, sql: Tx = db()): PromiseLike<row.AllowedPart[]> => allowed(projectId, sql);

/** What is looked at on a build. */
export async function linesOf(projectId: string, buildId: string, sql: Tx = db()): Promise<InspectionLine[]> {
  const [requirements, parts, [build], units] = await Promise.all([
    requirementsOf(projectId, sql),
    allowedOf(projectId, sql),
    sql<
      {
        mass: row.Build["mass"];
        cost: row.Build["cost"];
        sides: row.Build["sides"];
        currency: row.Project["currency"];
        parts: { name: string; count: number }[];
      }[]
    >`
      SELECT
        b.mass, b.cost, b.sides, p.currency,
        (
          SELECT coalesce(json_agg(json_build_object('name', l.name, 'count', l.count)), '[]')
          FROM part_line l
          WHERE l.build_id = b.id
        ) AS parts
      FROM build b
      JOIN project p ON p.id = b.project_id
      WHERE b.id = ${buildId} AND b.project_id = ${projectId}
    `,
    projectUnits(projectId, sql),
  ]);
  return build ? inspectionLines(requirements, parts, build, build.currency, units) : [];
}
