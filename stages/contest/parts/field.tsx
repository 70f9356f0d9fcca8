"use client";

import { Collapsible } from "radix-ui";
import { type ReactNode, useState } from "react";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { type FieldRow, type FieldRules, inspectionWords } from "../view/field";
import { useDay } from "./day-box";
import { useKnown } from "./known-field";
import { ScoreEntry } from "./score-entry";
import { ScoredTwice } from "./scored-twice";
import { VoidAttempt } from "./void-attempt";

interface Shared {
  readonly rules: FieldRules;
  readonly via?: "guest";
  readonly large?: boolean;
  /** The address at which a build is inspected, without the build, for those who may. */
  readonly inspectAt?: string;
  /** Nothing is scored now: it is halted, or its cautions are not ticked. */
  readonly blocked: boolean;
  readonly confirmed: boolean;
}

/** The attempts of an entry, with the next one to score. */
function Attempts({ row, rules, via, large, inspectAt, blocked, confirmed }: Shared & { row: FieldRow }) {
  const day = useDay();
  // What the page does not show yet is counted too: it was sent a moment ago, or waits for the network.
  const mine = day.items.filter(
    ({ item, problem }) => item.what === "attempt" && item.input.entryId === row.id && !problem,
  );
  const heard = mine.filter((x) => x.sent && x.attempt > row.last);
  const known = useKnown(row, {
    live: row.live + heard.filter((x) => !x.aside).length,
    last: Math.max(row.last, ...heard.map((x) => x.attempt)),
  });
  const waiting = mine.filter((x) => !x.sent && !x.going).map((x) => x.item);
  const live = known.live + waiting.length;
  return (
    <div className="grid content-start gap-2">
      {(row.attempts.length > 0 || waiting.length > 0) && (
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {row.earlier > 0 && <span className="text-sm text-soft">{row.earlier} earlier</span>}
          {row.attempts.map((r) => (
            <span
              key={r.id}
              className={cx("inline-flex items-baseline gap-1.5", r.state === "void" && "text-soft line-through")}
            >
              <span className="text-sm text-soft">{r.number}.</span>
              {r.text}
              {r.state !== "void" && !confirmed && (
                <VoidAttempt id={r.id} version={r.version} via={via} label={`attempt ${r.number} of ${row.team}`} />
              )}
            </span>
          ))}
          {waiting.map((x) => (
            <span key={x.id} className="text-sm text-ochre-deep">
              one waits
            </span>
          ))}
        </div>
      )}
      {row.twice.map((both) => (
        <ScoredTwice key={both.second.id} both={both} team={row.team} via={via} />
      ))}
      {!confirmed && row.inspection === "passed" && live < rules.n && (
        <fieldset disabled={blocked}>
          <ScoreEntry entryId={row.id} team={row.team} nth={live + 1} rules={rules} large={large} />
        </fieldset>
      )}
      {!confirmed && row.inspection === "passed" && live >= rules.n && (
        <p className="text-sm text-soft">All {rules.n} attempts are in.</p>
      )}
      {!confirmed && row.inspection === "waiting" && row.buildId && inspectAt && (
        <p>
          <Link href={`${inspectAt}${row.buildId}`} className="underline">
            Inspect {row.team}
          </Link>
        </p>
      )}
    </div>
  );
}

/** The entries of an event in run order, each with its inspection, its attempts and the next one to score. */
export function Field({
  rows,
  open,
  tools,
  ...shared
}: Shared & {
  rows: readonly FieldRow[];
  /** Which entries stand open at first, the others being a line each that unfolds; without it all do. */
  open?: readonly string[];
  /** What the instructor may do with an entry, by entry. */
  tools?: Readonly<Record<string, ReactNode>>;
}) {
  const { rules, large } = shared;
  const [chosen, setChosen] = useState<Readonly<Record<string, boolean>>>({});
  return (
    <>
      {rules.says.length > 0 && <p className="mb-1 text-sm">{rules.says.join(" ")}</p>}
      <ol className="grid">
        {rows.map((row) => (
          <li
            key={row.id}
            className={cx("border-b border-line py-2.5", row.inspection === "turned away" && "text-soft")}
          >
            <Collapsible.Root
              open={!open || row.twice.length > 0 || (chosen[row.id] ?? open.includes(row.id))}
              onOpenChange={(to) => setChosen((now) => ({ ...now, [row.id]: to }))}
              className="grid gap-x-6 gap-y-2 md:grid-cols-[170px_1fr]"
            >
              <div>
                <p className={cx("font-[650]", large && "text-[17px]")}>
                  {row.order !== null && <span className="mr-2 text-soft">{row.order}.</span>}
                  {open ? (
                    <Collapsible.Trigger className="min-h-11 text-left underline">{row.team}</Collapsible.Trigger>
                  ) : (
                    row.team
                  )}
                </p>
                <p className="text-sm text-soft">
                  {row.build} · {inspectionWords(row.inspection)}
                  {row.note && `: ${row.note}`}
                  {row.inspection === "passed" && open && ` · ${row.live} of ${rules.n} made`}
                </p>
                {tools?.[row.id]}
              </div>
              {/* What was typed in an entry stays when it is folded. */}
              <Collapsible.Content forceMount className="data-[state=closed]:hidden">
                <Attempts row={row} {...shared} />
              </Collapsible.Content>
            </Collapsible.Root>
          </li>
        ))}
      </ol>
    </>
  );
}
