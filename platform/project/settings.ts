import "server-only";
import type { Strictness } from "@/core/gates/gate";
import type { ShareSchool } from "@/core/teams/parts";
import { db, type Tx } from "@/platform/db/db";

export type ConceptSchool = "client" | "panel" | "vote" | "weighted" | "datum";

export type TeamSchool = "idea" | "draw" | "self" | "assigned" | "solver";

/** The schools of a project's front half; each stands on its default until it is chosen. */
export interface Settings {
  readonly conceptsOpen: boolean;
  readonly conceptSchool: ConceptSchool;
  readonly teamSchool: TeamSchool;
  readonly teamMin: number;
  readonly teamMax: number;
  readonly gateStrictness: Strictness;
  readonly shareSchool: ShareSchool;
}

const defaults: Settings = {
  conceptsOpen: false,
  conceptSchool: "client",
  teamSchool: "idea",
  teamMin: 3,
  teamMax: 4,
  gateStrictness: "warn",
  shareSchool: "number",
};

export async function settingsOf(projectId: string, sql: Tx = db()): Promise<Settings> {
  const [p] = await sql<{ settings: Partial<Settings> }[]>`SELECT settings FROM project WHERE id = ${projectId}`;
  return { ...defaults, ...p?.settings };
}
