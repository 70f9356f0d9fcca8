import { shortDate } from "@/platform/pages/dates";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import type { Option } from "@/ui/option";
import type { ActionItem } from "../queries/reviews";
import { ReopenButton, WithdrawAction } from "./buttons";
import { ActionPhoto, CloseForm } from "./close-form";
import { EditAction } from "./edit-review";

/** What shows that an action is done. */
const Shown = ({ a, base }: { a: ActionItem; base: string }) => (
  <>
    closed: {a.closingEvidence}
    {a.closingBuild && (
      <>
        {" "}
        <Link href={`${base}/builds/${a.closingBuild}`} className="underline underline-offset-3">
          the build
        </Link>
      </>
    )}
    {a.closingRun && (
      <>
        {" "}
        <Link href={base + a.closingRun} className="underline underline-offset-3">
          the run
        </Link>
      </>
    )}
  </>
);

/** A review's actions: what is open with by when, what was closed with what shows it. */
export function ActionList({
  actions,
  base,
  today,
  staff,
  members,
  builds,
  runs,
  due,
  session,
}: {
  actions: readonly ActionItem[];
  /** The project's address. */
  base: string;
  today: string;
  staff: boolean;
  members: Option[];
  builds: readonly Option[];
  runs: readonly Option[];
  /** The class sessions in which an action can be due, with its own. */
  due: (kept: string) => readonly Option[];
  /** The class session of a date, in words. */
  session: (date: string) => string;
}) {
  if (!actions.length) return <p className="mb-2 text-soft">None.</p>;
  return (
    <ul className="mb-3">
      {actions.map((a) => {
        const late = !a.closedAt && a.dueOn < today;
        return (
          <li key={a.id} className="border-b border-line py-1.5 last:border-0">
            <p className={cx(a.closedAt && "text-soft line-through")}>{a.what}</p>
            <p className={cx("text-sm", late ? "text-iron" : "text-soft")}>
              {a.owner ?? "the team"} ·{" "}
              {a.closedAt ? (
                <Shown a={a} base={base} />
              ) : (
                `${late ? "was due" : "due"} ${session(a.dueOn)}${shortDate(a.dueOn)}`
              )}
              {a.changesDesign && " · changes the design"}
            </p>
            {a.builtWithout !== null && (
              <p className="text-sm text-iron">G{a.builtWithout} was built since, and does not carry it out.</p>
            )}
            {a.photos.length > 0 && (
              <p className="flex flex-wrap gap-2 py-1">
                {a.photos.map((f) => (
                  <a key={f} href={`/api/file/${f}`}>
                    <img src={`/api/file/${f}`} alt={`What was done: ${a.what}`} className="h-16 rounded-sm" />
                  </a>
                ))}
              </p>
            )}
            <div className="no-print flex flex-wrap items-center gap-x-3 text-sm">
              {!a.closedAt && <CloseForm id={a.id} version={a.version} builds={builds} runs={runs} />}
              <ActionPhoto id={a.id} />
              {a.closedAt && staff && <ReopenButton id={a.id} version={a.version} />}
              {staff && !a.closedAt && (
                <EditAction
                  id={a.id}
                  version={a.version}
                  values={{ what: a.what, ownerId: a.ownerId ?? "", dueOn: a.dueOn, changesDesign: a.changesDesign }}
                  members={members}
                  sessions={due(a.dueOn)}
                />
              )}
              {staff && <WithdrawAction id={a.id} />}
            </div>
          </li>
        );
      })}
    </ul>
  );
}
