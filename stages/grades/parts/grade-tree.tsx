import type { ReactNode } from "react";
import type { Working } from "@/core/working/working";
import { cx } from "@/ui/classes";
import { Figure } from "@/ui/working";
import type { LedgerPart } from "../queries/publications";

const indent = ["", "pl-5", "pl-10", "pl-15"];

function Percent({ part }: { part: LedgerPart }) {
  if (part.percent === null) return <span className="text-soft">{part.group ? "–" : part.state}</span>;
  const shown = Number(part.percent).toFixed(1);
  return (
    <>
      {part.working ? <Figure working={part.working}>{shown}</Figure> : shown}
      {part.state === "missing" && " (missing)"}
    </>
  );
}

/** Its arithmetic; where there is none, its rule. */
const told = (w: Working) => [...(w.steps.length ? w.steps : [w.rule]), ...w.warnings].filter(Boolean);

/** On a phone a part is a row of name, weight and percent with its lines below. */
const row = "break-inside-avoid align-top max-sm:grid max-sm:grid-cols-[minmax(0,1fr)_auto_auto]";

/** A part's arithmetic in lines, what reviewers said, and what would have earned more. */
function Told({ part }: { part: LedgerPart }) {
  const lines = part.working ? told(part.working) : [];
  return (
    <div className="grid gap-1 text-sm text-soft">
      {part.computed != null && (
        <p className="text-ink">
          Set by hand; computed: {part.computed}
          {/^\d/.test(part.computed) && " %"}. {part.reason}
        </p>
      )}
      {part.computed == null && part.reason && <p>{part.reason}</p>}
      {part.dropped && <p>Left out: one of the lowest of its group.</p>}
      {lines.map((l) => (
        <p key={l} className="tabular-nums">
          {l}
        </p>
      ))}
      {part.comments?.map((c) => (
        <blockquote key={c} className="border-l-3 border-stone-3 pl-2 text-ink">
          {c}
        </blockquote>
      ))}
      {part.next?.map((n) => (
        <p key={n}>The next level: {n}.</p>
      ))}
    </div>
  );
}

/** A grade as a tree, each part with its working: it can be read on paper. */
export function GradeTree({
  parts,
  act,
}: {
  parts: readonly LedgerPart[];
  /** What can be done with a component, beside it. */
  act?: (part: LedgerPart) => ReactNode;
}) {
  return (
    <table className="table max-w-[960px] max-sm:block">
      <thead className="max-sm:hidden">
        <tr>
          <th>Component</th>
          <th className="num">Weight</th>
          <th className="num">
            Percent <span className="unit">%</span>
          </th>
          <th>How it came about</th>
          {act && <th className="no-print" />}
        </tr>
      </thead>
      <tbody className="max-sm:block">
        {parts.map((p) => (
          <tr key={p.key} className={cx(row, p.dropped && "text-soft line-through")}>
            <td className={cx(p.group ? "font-[700]" : "font-[600]", indent[p.depth ?? 0])}>{p.name}</td>
            <td className="num text-soft">{p.weight}</td>
            <td className="num">
              <Percent part={p} />
            </td>
            <td className="max-sm:col-span-3 max-sm:pt-0">
              <Told part={p} />
            </td>
            {act && <td className="no-print max-sm:col-span-3">{!p.group && act(p)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
