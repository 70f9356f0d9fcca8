import type { Schema } from "yup";

/** What bundles, backups and erasing know of a table. */
export interface Table {
  readonly name: string;
  /** Narrows the table to the project $1; without it the table travels in backups only. */
  readonly of?: string;
  /** It is the project's, but travels in backups only. */
  readonly stays?: true;
  /** It goes to another school too, without names: what was asked, built, tested and won. */
  readonly passes?: true;
  /** Columns that do not travel in a project's bundle. */
  readonly omit?: readonly string[];
  /** Columns that name a person: those people travel with the project. */
  readonly people?: readonly string[];
  /** What is wrong with a value that comes in with a bundle, by column; nothing where it is right. */
  readonly check?: Readonly<Record<string, (value: unknown) => string | null>>;
  /** What erasing a person does here: statements over :person, :words (that replace the name) and :day. */
  readonly erase?: readonly string[];
}

/** A column's check by the schema of the form that writes it, and by what else must hold of it. */
export const fits =
  <T>(schema: Schema<T>, more: (value: T) => readonly string[] = () => []) =>
  (value: unknown): string | null => {
    try {
      return more(schema.validateSync(value)).join(" ") || null;
    } catch (error) {
      return (error as Error).message;
    }
  };

/** A table whose rows carry their project. */
export const ofProject = (name: string, more: Omit<Table, "name" | "of"> = {}): Table => ({
  name,
  of: "project_id = $1",
  ...more,
});

/** A table whose rows belong to a row of another table, which carries its project. */
export const ofParent = (
  name: string,
  column: string,
  parent: string,
  more: Omit<Table, "name" | "of"> = {},
): Table => ({ name, of: `${column} IN (SELECT id FROM ${parent} WHERE project_id = $1)`, ...more });

/** Whether a table's rows go with a project's bundle; people go with the projects that name them. */
export const travels = (t: Table): boolean => (t.of !== undefined && !t.stays) || t.name === "person";
