import type { Schema } from "yup";
import type { Act, Actor } from "@/core/access/can";
import type { Working } from "@/core/working/working";
import type { Sql } from "../db/db";
import type { ProjectRow } from "../project/frame";

/** A fragment of SQL, to be put into a larger query. */
export type Fragment = ReturnType<Sql>;

/** A stage's layer in the spine: what it counts, and what it says of it. */
export interface Stratum {
  /** Columns of one row, over the project `p` on the day `day`; their names are this stage's own. */
  readonly columns: (sql: Sql, p: string, day: string) => Fragment;
  /** How far the class stands, 0 to 1, and the stage's one line. */
  readonly line: (row: Readonly<Record<string, unknown>>, project: ProjectRow) => readonly [number, string];
}

/** A line of the instructor's Today. */
export interface Waiting {
  readonly projectId: string;
  readonly who: string;
  readonly what: string;
  readonly stage: string;
  /** Below the project's address. */
  readonly path: string;
  /** It stands above what waits: it is today. */
  readonly first?: true;
}

/** What a stage adds to a student's home, from columns over the project `p` and the student's team `t`. */
export interface HomePart {
  readonly columns: (sql: Sql, student: { id: string; today: string }) => Fragment;
  /** The lines about where the student stands. */
  readonly about?: (row: Readonly<Record<string, unknown>>, today: string) => readonly HomeLine[];
  /** What the student is asked to do. */
  readonly items?: (row: Readonly<Record<string, unknown>>, today: string) => readonly HomeItem[];
  /** Dated things: the nearest is named first. */
  readonly due?: (row: Readonly<Record<string, unknown>>) => readonly { what: string; on: string }[];
}
export interface HomeLine {
  readonly label: string;
  readonly text: string;
  readonly note?: string;
  readonly path?: string;
}
export interface HomeItem {
  /** The smaller, the sooner it is named; 0 where nothing is said. */
  readonly rank?: number;
  readonly what: string;
  readonly note: string;
  readonly path: string;
}

/** What the jump box finds. */
export interface Hit {
  readonly kind: string;
  readonly label: string;
  readonly detail: string;
  /** Below the project's address. */
  readonly path: string;
}
export interface Search {
  readonly projectId: string;
  /** The words as a pattern of LIKE. */
  readonly like: string;
  readonly may: (act: Act) => boolean;
}

/** A working of this stage, made when it is opened. */
export interface WorkingOf {
  readonly act: Act;
  readonly make: (ask: {
    readonly projectId: string;
    readonly actor: Actor;
    readonly today: string;
    /** Which one, as the figure's address says. */
    which(name: string): string;
  }) => Promise<Working | null>;
}

/** Something that is tried on the record: computed for what was sent, and nothing is written. */
export interface Trial {
  readonly act: Act;
  /** What was sent, read; it throws what is wrong with it in words, as a schema does. */
  readonly schema: Schema<unknown>;
  readonly make: (ask: { readonly projectId: string; readonly today: string }, sent: never) => Promise<unknown>;
}

/** A list of the project as CSV, under its name in the address. */
export interface Download {
  readonly act: Act;
  readonly make: (
    project: { id: string; currency: string },
    today: string,
    /** What the address narrows it to, and how it is to be written. */
    only?: { section: string | null; which?(name: string): string },
  ) => Promise<string>;
}

export type Viewer = "staff" | "student" | "everyone";

/** What the rest of the program asks of a stage. `stages/index.ts` lists them all. */
export interface Stage {
  readonly key: string;
  readonly name: string;
  /** Its pages for the jump box, below the project's address; the first is the stage's own. */
  readonly pages: readonly { readonly label: string; readonly path: string; readonly for?: Viewer }[];
  /** Kinds of things that its pages show: a write about another kind does not load them again. */
  readonly shows: readonly string[];
  /** Modules whose exported commands are the application's. */
  readonly commands: readonly object[];
  readonly stratum?: Stratum;
  /** Stands below the spine instead of in it. */
  readonly below?: Viewer;
  readonly waiting?: (projectIds: readonly string[], today: string) => Promise<readonly Waiting[]>;
  readonly home?: HomePart;
  readonly search?: (search: Search) => Promise<readonly Hit[]>;
  /** By what a figure's address names. */
  readonly workings?: Readonly<Record<string, WorkingOf>>;
  readonly trials?: Readonly<Record<string, Trial>>;
  readonly downloads?: Readonly<Record<string, Download>>;
}

export type Person = Extract<Actor, { kind: "person" }>;
