import "server-only";
import * as yup from "yup";
import type { Act, Subject } from "@/core/access/can";
import { type Command, command, projectOf } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import * as c from "@/platform/schema/fields";
import { type Belongings, takeOut } from "./take-out";

/** One kind of record that can be taken out and brought back. */
export interface Withdrawable extends Belongings {
  /** The command's name. */
  readonly name: string;
  /** What people call it: “build”. */
  readonly kind: string;
  readonly act: Act;
  /** Whose it is; the row's project where nothing is said. */
  subject?(sql: Tx, id: string): Promise<Subject | null>;
  /** How a row is named in the record of what was taken out: an expression over the row `x`. */
  readonly label: string;
  /** Says why this one stays, by refusing. */
  refuse?(sql: Tx, id: string): Promise<void>;
  /** It is taken out only with a reason. */
  readonly needsReason?: true;
}

const input = (needsReason: boolean) =>
  yup.object({ id: c.id(), reason: needsReason ? c.text(300) : c.optionalText(300) });

export interface Withdrawn {
  /** Under which it can be brought back. */
  readonly withdrawn: string;
  readonly label: string;
}

/**
 * The command that takes a record of some kind out of the project, with all that belongs to it: kept whole under
 * `withdrawn`, from where it can be brought back.
 */
export function withdrawal(w: Withdrawable): Command<yup.InferType<ReturnType<typeof input>>, Withdrawn> {
  const subject = async (sql: Tx, id: string): Promise<Subject | null> =>
    w.subject?.(sql, id) ?? projectOf(sql, w.table, id);
  return command({
    name: w.name,
    act: w.act,
    schema: input(w.needsReason === true),
    subject: (sql, i) => subject(sql, i.id),
    async run({ sql, audit, by }, { id, reason }): Promise<Withdrawn> {
      await w.refuse?.(sql, id);
      const [named] = await sql.unsafe<{ label: string }[]>(
        `SELECT ${w.label} AS label FROM ${w.table} x WHERE id = $1`,
        [id],
      );
      const whose = (await subject(sql, id))!;
      const students = w.act.rule.student === "own";
      const label = named!.label;
      const withdrawn = newId();
      await sql`
        INSERT INTO withdrawn ${sql({
          id: withdrawn,
          projectId: whose.project!,
          kind: w.kind,
          label,
          teamId: (students && whose.team) || null,
          personId: (students && whose.person) || null,
          reason,
          withdrawnBy: by,
        })}
      `;
      const went = await takeOut(sql, withdrawn, w, id);
      audit({ type: w.kind, id, label, after: { withdrawn: went }, reason: reason || undefined });
      return { withdrawn, label };
    },
  });
}
