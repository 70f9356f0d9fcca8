import type * as row from "@/platform/db/rows";
import "server-only";
import type { PieceStep } from "@/core/vocabulary/builds";
import { db, type Tx } from "@/platform/db/db";
import { ofBuild } from "./builds";

/** Who saw to a step of a piece, and when. */
export interface StepDone {
  step: PieceStep;
  /** What tells people apart: the person, or the name where the person is gone. */
  person: string;
  by: row.PieceStep["doneBy"];
  at: row.PieceStep["doneAt"];
}

export interface Piece extends row.Piece {
  maker: row.Person["name"] | null;
  /** The line of the parts list that it is made for. */
  part: row.PartLine["name"] | null;
  steps: StepDone[];
  /** What was photographed of it. */
  photos: { id: string; caption: string }[];
}

/** The pieces of a build in the order in which they were written, with who saw to what. */
export const piecesOf = (buildId: string, sql: Tx = db()) => sql<Piece[]>`
  SELECT
    p.*, m.name AS maker, l.name AS part,
    (
      SELECT coalesce(json_agg(json_build_object('id', u.id, 'caption', u.caption) ORDER BY u.added_at), '[]')
      FROM file_use u
      WHERE u.piece_id = p.id
    ) AS photos,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'step', s.step, 'person', coalesce(s.person_id::text, s.done_by), 'by', s.done_by, 'at', s.done_at
          )
        ), '[]'
      )
      FROM piece_step s
      WHERE s.piece_id = p.id
    ) AS steps
  FROM piece p
  LEFT JOIN person m ON m.id = p.maker_id
  LEFT JOIN part_line l ON l.id = p.part_id
  WHERE p.build_id = ${buildId}
  ORDER BY p.id
`;

/** A piece's project and team. */
export const ofPiece = async (sql: Tx, id: string) => {
  const [p] = await sql<{ buildId: row.Piece["buildId"] }[]>`SELECT build_id FROM piece WHERE id = ${id}`;
  return p ? ofBuild(sql, p.buildId) : null;
};

/** Settings of a machine as they were used for a piece that was cut. */
export interface FoundSettings {
  id: row.Piece["id"];
  machine: row.Piece["machine"];
  material: row.Piece["material"];
  settings: Record<string, string>;
  piece: row.Piece["name"];
  build: string;
  by: row.PieceStep["doneBy"];
  at: row.PieceStep["doneAt"];
}

/** The settings with which pieces were cut in this project and the editions before it, the newest first. */
export const settingsFound = (projectId: string) => db()<FoundSettings[]>`
  WITH RECURSIVE edition AS (
    SELECT id, edition_of FROM project WHERE id = ${projectId}
    UNION
    SELECT p.id, p.edition_of FROM project p JOIN edition e ON p.id = e.edition_of
  )
  SELECT
    p.id, p.machine, p.material, p.settings, p.name AS piece, t.name || ' G' || b.number AS build, s.done_by AS by,
    s.done_at AS at
  FROM piece p
  JOIN piece_step s ON s.piece_id = p.id AND s.step = 'cut'
  JOIN build b ON b.id = p.build_id
  JOIN team t ON t.id = b.team_id
  WHERE b.project_id IN (SELECT id FROM edition) AND p.settings <> '{}'
  ORDER BY s.done_at DESC
  LIMIT 60
`;
