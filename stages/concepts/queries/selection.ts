import type { Severity } from "@/core/vocabulary/concepts";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { Flip, FragilityInput } from "@/core/concepts/fragility";
import type { RaterModel } from "@/core/concepts/raters";
import type { Working } from "@/core/working/working";
import { db } from "@/platform/db/db";

export interface SelectionDefinition {
  criteria: { key: string; name: string; weight: number }[];
  top: number;
  keep: number;
  votes: number;
  datum: string | null;
  severity: Severity;
  pairs?: Record<string, number>;
  /** Weights that were changed when sheets were in. */
  reweighed?: readonly Reweighed[];
}

export interface Reweighed {
  /** The weights that stood before, in the order of the criteria. */
  readonly before: readonly number[];
  /** How many sheets were in. */
  readonly sheets: number;
  readonly by: string;
  readonly on: string;
  readonly reason: string;
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
  id: row.Selection["id"];
  projectId: row.Selection["projectId"];
  title: row.Selection["title"];
  school: row.Selection["school"];
  definition: SelectionDefinition;
  concepts: { id: string; title: string; fate: string; fateReason: string }[];
  closedAt: row.Selection["closedAt"];
  createdBy: row.Selection["createdBy"];
  createdAt: row.Selection["createdAt"];
  version: row.Selection["version"];
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
