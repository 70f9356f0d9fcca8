import { type ProjectUnits, unitsOf } from "@/core/quantity/systems";
import type { DonatedMethod } from "@/core/vocabulary/builds";
import type { CountersignMethod } from "@/core/vocabulary/classroom";
import type { ConceptMethod } from "@/core/vocabulary/concepts";
import type { AwardKind, CombineMethod } from "@/core/vocabulary/contest";
import type { DateStyle, GateStrictness, UnitSystem } from "@/core/vocabulary/project";
import type { TrainingStrictness } from "@/core/vocabulary/shop";
import type { ShareMethod, TeamMethod } from "@/core/vocabulary/teams";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";

/** The schools of a project's front half; each stands on its default until it is chosen. */
export interface Settings {
  readonly conceptsOpen: boolean;
  readonly conceptSchool: ConceptMethod;
  readonly teamSchool: TeamMethod;
  readonly teamMin: number;
  readonly teamMax: number;
  readonly gateStrictness: GateStrictness;
  /** Whether somebody who is not trained may be booked at a machine. */
  readonly trainingStrictness: TrainingStrictness;
  /** Minutes of a class session in which a machine can be used. */
  readonly sessionMinutes: number;
  readonly shareSchool: ShareMethod;
  readonly units: UnitSystem;
  readonly dates: DateStyle;
  readonly donated: DonatedMethod;
  readonly countersign: CountersignMethod;
  /** Generations that each student makes alone before the team brings them together; 0 asks for none. */
  readonly individualMin: number;
  /** How the contest's events become one ranking. */
  readonly combine: CombineMethod;
  /** Which awards the contest gives. */
  readonly awards: readonly AwardKind[];
  /** When the rehearsal of its day began; it is on while this is there. */
  readonly rehearsal?: string;
}

const defaults: Settings = {
  conceptsOpen: false,
  conceptSchool: "client",
  teamSchool: "idea",
  teamMin: 3,
  teamMax: 4,
  gateStrictness: "warn",
  trainingStrictness: "block",
  sessionMinutes: 50,
  shareSchool: "number",
  units: "metric",
  dates: "day",
  donated: "fair",
  countersign: "no",
  individualMin: 0,
  combine: "points",
  awards: ["champion", "best", "judged", "race", "lightest"],
};

const asked = cache(async (projectId: string, sql: Tx): Promise<Settings> => {
  const [p] = await sql<{ settings: Partial<Settings> }[]>`SELECT settings FROM project WHERE id = ${projectId}`;
  return { ...defaults, ...p?.settings };
});

/** A project's settings; asked once a page. */
export const settingsOf = (projectId: string, sql: Tx = db()): Promise<Settings> => asked(projectId, sql);

/** The units of a project: what a bare mass or side means in it. */
export const projectUnits = async (projectId: string, sql: Tx = db()): Promise<ProjectUnits> =>
  unitsOf((await settingsOf(projectId, sql)).units);
