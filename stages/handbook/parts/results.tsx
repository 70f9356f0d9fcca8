"use client";

import type { Outcome } from "@/core/handbook/compute";
import { Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { comparedResults } from "../view/handbook";
import { Formula } from "./formula";

/** What a calculator comes to: one setting large, two beside each other with their difference. */
export function Results({ outcome, second }: { outcome: Outcome; second: Outcome | null }) {
  if (!outcome.ok)
    return (
      <Sheet title="It comes to">
        <p className="text-soft">Nothing yet: something that was put in cannot be taken, as it says there.</p>
      </Sheet>
    );
  const warnings = [...new Set([...outcome.warnings, ...(second?.ok ? second.warnings : [])])];
  return (
    <Sheet title="It comes to" aside="press a figure for its working">
      {second?.ok ? (
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Result</th>
              <th scope="col" className="num">
                First
              </th>
              <th scope="col" className="num">
                Second
              </th>
              <th scope="col" className="num">
                Difference
              </th>
            </tr>
          </thead>
          <tbody>
            {comparedResults(outcome.results, second.results).map((r) => (
              <tr key={r.symbol}>
                <td>
                  <span className="inline-block first-letter:uppercase">{r.name}</span>{" "}
                  <span className="unit">{r.unit}</span>
                </td>
                <td className="num">
                  <Figure working={outcome.working}>{r.first}</Figure>
                </td>
                <td className="num">
                  <Figure working={second.working}>{r.second}</Figure>
                </td>
                <td className="num text-soft">{r.by}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <dl className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline">
          {outcome.results.map((r) => (
            <div key={r.symbol} className="contents">
              <dt className="border-b border-line py-1.5">
                <span className="inline-block first-letter:uppercase">{r.name}</span>{" "}
                {!r.name.includes(r.symbol) && (
                  <span className="text-soft">
                    <Formula of={r.symbol} />
                  </span>
                )}
              </dt>
              <dd className="num border-b border-line py-1.5 text-right">
                <Figure working={outcome.working} unit={r.unit} big={outcome.results.length < 9}>
                  {r.text}
                </Figure>
              </dd>
            </div>
          ))}
        </dl>
      )}
      {warnings.map((w) => (
        <p key={w} role="status" className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
          {w}
        </p>
      ))}
    </Sheet>
  );
}
