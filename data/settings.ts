import "server-only";
import type { Strictness } from "@/core/gates/gate";
import type { ShareSchool } from "@/core/teams/parts";
import { command } from "./command";
import { db, type Tx } from "./db";
import * as s from "./schemas/front";

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

/** Changes some of a project's schools; the others stay. */
export const saveSettings = command({
  name: "saveSettings",
  act: "project.edit",
  schema: s.settings,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId, ...rest }) {
    const before = await settingsOf(projectId, sql);
    const given = Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined));
    await sql`UPDATE project SET settings = settings || ${sql.json(given as never)} WHERE id = ${projectId}`;
    audit({
      type: "settings",
      id: projectId,
      before: Object.fromEntries(Object.keys(given).map((k) => [k, before[k as keyof Settings]])),
      after: given,
    });
  },
});
