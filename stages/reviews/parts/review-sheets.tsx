import { Figure } from "@/ui/working";
import type { reviewView } from "../view/reviews";
import { WithdrawSheet } from "./buttons";

/** Every sheet's points by criterion, with comments, the scores, and how members were marked alone. */
export function ReviewSheets({
  view,
  withdraws,
}: {
  view: ReturnType<typeof reviewView>;
  /** Whether the reader can take a sheet out. */
  withdraws: boolean;
}) {
  const cells = (points: readonly (string | null)[]) =>
    points.map((x, i) => (
      <td key={view.sheets[i]!.id} className="num">
        {x ?? "–"}
      </td>
    ));
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheets">
      <table className="table">
        <thead>
          <tr>
            <th>Criterion</th>
            <th className="num">Weight</th>
            {view.sheets.map((s) => (
              <th key={s.id} className="num">
                {s.rater}
                {withdraws && (
                  <span className="no-print block font-normal">
                    <WithdrawSheet id={s.id} rater={s.rater} />
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.criteria.map((c) => (
            <tr key={c.key}>
              <td>
                {c.name}
                {c.comments.map((t) => (
                  <span key={t} className="block text-sm text-soft">
                    “{t}”
                  </span>
                ))}
              </td>
              <td className="num text-soft">{c.weight}</td>
              {cells(c.points)}
            </tr>
          ))}
          <tr>
            <td className="font-[650]">
              Score <span className="unit">%</span>
            </td>
            <td />
            {view.sheets.map((s) => (
              <td key={s.id} className="num">
                {s.score.value === null ? (
                  "–"
                ) : (
                  <Figure working={s.score.working}>{(Number(s.score.value) * 100).toFixed(1)}</Figure>
                )}
              </td>
            ))}
          </tr>
          {view.alone.map((a) => (
            <tr key={a.key}>
              <td className="pl-6 text-soft">{a.name}</td>
              <td />
              {cells(a.points)}
            </tr>
          ))}
        </tbody>
      </table>
      {view.sheets.map(
        (s) =>
          s.correction && (
            <p key={s.id} className="mt-1 text-sm text-soft">
              {s.rater} corrected the sheet after the verdict: {s.correction}
            </p>
          ),
      )}
    </div>
  );
}
