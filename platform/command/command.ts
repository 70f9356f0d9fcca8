import type * as row from "../db/rows";
import "server-only";
import * as yup from "yup";
import { type Act, type Actor, aboutOf, can, type Subject } from "@/core/access/can";
import { db, inTransaction, newId, type Tx } from "@/platform/db/db";
import { UnknownOutcome } from "@/platform/db/lost";
import { failure, Missing, NotAllowed, notKnown, refuse, unfitText } from "./failure";
import { outcomeOf } from "./outcome";
import type { Result } from "./result";

export interface AuditEntry {
  readonly type: string;
  readonly id?: string;
  readonly label?: string;
  readonly before?: unknown;
  readonly after?: unknown;
  readonly reason?: string;
}

export interface Context {
  readonly sql: Tx;
  readonly actor: Exclude<Actor, { kind: "nobody" }>;
  /** Name of the actor as records show it. */
  readonly by: string;
  /** The school's date today. */
  readonly today: string;
  /** Notes what changed; written in the same transaction. Every command notes at least once. */
  audit(entry: AuditEntry): void;
}

export interface Command<I, O> {
  readonly name: string;
  readonly act: Act;
  readonly schema: yup.Schema<I>;
  /** What is acted on; null when it does not exist. */
  subject(sql: Tx, input: I, actor: Actor): Promise<Subject | null> | Subject | null;
  /**
   * Work that takes long and writes nothing (hashes, pictures): done once the actor is known to be allowed, before the
   * transaction, and given to `run`.
   */
  prepare?(input: I): Promise<unknown>;
  run(context: Context, input: I, prepared?: unknown): Promise<O>;
  /** The answer holds something that is shown once and stored as a hash only: it is not kept for a retry. */
  readonly shownOnce?: true;
  /**
   * It may run beside others of its project: it locks the rows that it decides on, and what it adds has an id of its
   * own. All other commands of a project run one after the other.
   */
  readonly together?: true;
  /** It may be done in a finished project too. */
  readonly afterFinish?: true;
  /** Afterwards its project is not there any more: its audit rows are the school's. */
  readonly endsProject?: true;
}

export { checkVersion, found, refuse } from "./failure";

/** What a command on a row of a table acts on: the project that the row belongs to; null when there is no such row. */
export async function projectOf(sql: Tx, table: string, id: string): Promise<{ project: string } | null> {
  const [row] = await sql<{ projectId: string }[]>`SELECT project_id FROM ${sql(table)} WHERE id = ${id}`;
  return row ? { project: row.projectId } : null;
}

/** The project and team of a row, of a table whose rows are a team's. */
export async function teamOf(sql: Tx, table: string, id: string): Promise<{ project: string; team: string } | null> {
  const [row] = await sql<{ projectId: string; teamId: string }[]>`
    SELECT project_id, team_id FROM ${sql(table)} WHERE id = ${id}
  `;
  return row ? { project: row.projectId, team: row.teamId } : null;
}

type Definition<I, O, P> = Omit<Command<I, O>, "prepare" | "run"> & {
  prepare?(input: I): Promise<P>;
  run(context: Context, input: I, prepared: P): Promise<O>;
};

/** A command as it is written; what it prepares has the type that its `run` takes. */
export const command = <I, O, P = undefined>(definition: Definition<I, O, P>): Command<I, O> =>
  definition as Command<I, O>;

/** What a live notice says: in which project something was written, about what, and by which request. */
export interface Notice {
  readonly project: string;
  /** The kind of thing, as its act names it: “run”, “contest”. */
  readonly about: string;
  readonly request: string | null;
  /** Its number among the project's: one more than the notice before. */
  readonly number: number;
}

const nameOf = (actor: Actor) => (actor.kind === "nobody" ? "nobody" : actor.name);

export function today(): string {
  if (process.env.IRONSTONE_TODAY) return process.env.IRONSTONE_TODAY;
  const d = new Date();
  return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, "0")}-${String(d.getDate()).padStart(2, "0")}`;
}

/** The actor as one who may do this to what it is about; says what is in the way otherwise. */
async function subjectFor<I, O>(cmd: Command<I, O>, sql: Tx, actor: Actor, input: I) {
  const subject = await cmd.subject(sql, input, actor);
  if (subject === null) throw new Missing("This record is not here (any more). Reload to see what there is.");
  if (actor.kind === "nobody")
    throw new NotAllowed(
      "You are signed out. Sign in in another tab, then send this again: nothing that you typed is lost.",
    );
  if (!can(actor, cmd.act, subject)) throw new NotAllowed("You may not do this. Ask the project's instructor.");
  return { who: actor, subject };
}

/** What a command decides on stays as it is until it has written: others of the project wait, or are waited for. */
const takeTurn = (sql: Tx, project: string, together: boolean) =>
  together
    ? sql`SELECT pg_advisory_xact_lock_shared(hashtextextended(${project}, 714025))`
    : sql`SELECT pg_advisory_xact_lock(hashtextextended(${project}, 714025))`;

/** A finished project is a record: it takes no writes until somebody reopens it. */
async function refuseFinished(sql: Tx, project: string): Promise<void> {
  const [p] = await sql<
    { finishedAt: row.Project["finishedAt"] }[]
  >`SELECT finished_at FROM project WHERE id = ${project}`;
  if (p?.finishedAt)
    refuse(
      `This project was finished on ${p.finishedAt.slice(0, 10)} and takes no changes. Its owner can reopen it, ` +
        "with a reason, under Records.",
    );
}

/** Waits for the project's turn; then permission is asked again, and whether the project takes changes. */
async function inTurn<I, O>(
  cmd: Command<I, O>,
  sql: Tx,
  { actor, input, project }: { actor: Actor; input: I; project: string },
) {
  // Begun first: what is asked after it is answered when the turn is this one's. None waits for another's answer.
  const turn = takeTurn(sql, project, cmd.together === true).execute();
  // Whoever had the turn before may have taken away what this is about, or the right to it.
  const [of] = await Promise.all([
    subjectFor(cmd, sql, actor, input),
    turn,
    cmd.afterFinish ? null : refuseFinished(sql, project),
  ]);
  return of;
}

/** Tells who watches a project that something changed there of which no command is the record. */
export const tellProject = (sql: Tx, project: string, about: string) =>
  sendNotice(sql, { project, about, request: null });

/** Tells everybody who watches, once the transaction stands. */
const sendNotice = (sql: Tx, notice: Omit<Notice, "number">) => sql`
  WITH counted AS (
    INSERT INTO notice_count (project_id)
    VALUES (${notice.project})
    ON CONFLICT (project_id) DO UPDATE SET number = notice_count.number + 1
    RETURNING number
  )
  SELECT pg_notify('ironstone', (${sql.json(notice as never)}::jsonb || jsonb_build_object('number', number))::text)
  FROM counted
`;

/** What the same request gave before; nothing when it is here for the first time. */
async function sentBefore(sql: Tx, cmd: { name: string; shownOnce?: true }, actor: string, requestId: string) {
  const done = await sql`
    INSERT INTO request_done (id, act, actor)
    VALUES (${requestId}, ${cmd.name}, ${actor})
    ON CONFLICT DO NOTHING
    RETURNING id
  `;
  if (done.length) return null;
  const [before] = await sql<
    { result: unknown; act: row.RequestDone["act"]; actor: row.RequestDone["actor"] }[]
  >`SELECT result, act, actor FROM request_done WHERE id = ${requestId}`;
  if (before?.actor !== actor || before.act !== cmd.name)
    refuse("This request was already used for something else. Reload the page and try again.");
  if (cmd.shownOnce) refuse("This went through already, but its answer is shown only once. Make a new one.");
  return before;
}

/**
 * Runs a command: input checked by its schema, then one transaction in which permission is checked, the work is done,
 * the audit rows are written and a live notice is sent. A repeated `requestId` has the effect of one.
 */
export async function execute<I, O>(
  cmd: Command<I, O>,
  actor: Actor,
  raw: unknown,
  requestId?: string,
): Promise<Result<O>> {
  let input: I;
  const unfit = unfitText(raw);
  if (unfit) return { ok: false, kind: "invalid", message: unfit, fields: {} };
  try {
    input = (await cmd.schema.validate(raw, { abortEarly: false, stripUnknown: true })) as I;
  } catch (error) {
    // A schema that stumbles over a value of another kind than it is made for has refused it.
    if (!(error instanceof yup.ValidationError))
      return { ok: false, kind: "invalid", message: "This cannot be read. Reload the page and try again.", fields: {} };
    const fields: Record<string, string> = {};
    for (const e of error.inner.length ? error.inner : [error]) fields[e.path || "form"] ??= e.message;
    return { ok: false, kind: "invalid", message: Object.values(fields)[0] ?? "Something is missing.", fields };
  }
  const notes: AuditEntry[] = [];
  let answer: { ok: true; value: O } | undefined;
  try {
    if (cmd.prepare) await subjectFor(cmd, db(), actor, input);
    const prepared = await cmd.prepare?.(input);
    return await inTransaction(async (sql) => {
      const first = await subjectFor(cmd, sql, actor, input);
      const { who, subject } = first.subject.project
        ? await inTurn(cmd, sql, { actor, input, project: first.subject.project })
        : first;
      if (requestId) {
        const before = await sentBefore(sql, cmd, who.id, requestId);
        if (before) return { ok: true as const, value: before.result as O };
      }
      const value = await cmd.run(
        { sql, actor: who, by: nameOf(who), today: today(), audit: (e) => notes.push(e) },
        input,
        prepared,
      );
      const project = cmd.endsProject
        ? null
        : (subject.project ?? (value as { projectId?: string } | null)?.projectId ?? null);
      if (notes.length === 0) throw new Error(`${cmd.name} left no audit row`);
      const notice: Omit<Notice, "number"> = {
        project: project ?? "",
        about: aboutOf(cmd.act),
        request: requestId ?? null,
      };
      // Sent together: they wait for no answer of each other's.
      await Promise.all([
        sql`INSERT INTO audit ${sql(
          notes.map((n) => ({
            id: newId(),
            actorKind: who.kind,
            actorId: who.id,
            actorName: nameOf(who),
            projectId: project,
            act: cmd.name,
            subjectType: n.type,
            subjectId: n.id ?? null,
            label: n.label ?? "",
            before: n.before === undefined ? null : sql.json(n.before as never),
            after: n.after === undefined ? null : sql.json(n.after as never),
            reason: n.reason ?? null,
          })),
        )}`,
        requestId && !cmd.shownOnce
          ? sql`UPDATE request_done SET result = ${sql.json((value ?? null) as never)} WHERE id = ${requestId}`
          : null,
        project ? sendNotice(sql, notice) : null,
      ]);
      answer = { ok: true, value };
      return answer;
    });
  } catch (error) {
    if (!(error instanceof UnknownOutcome) || actor.kind === "nobody") return failure(error);
    const outcome = requestId ? await outcomeOf(requestId, actor.id) : "unknown";
    if (outcome === "saved" && answer) return answer;
    return outcome === "not saved" ? failure(error) : notKnown;
  }
}
