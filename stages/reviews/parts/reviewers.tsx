import { Fold } from "@/ui/fold";
import { Figure } from "@/ui/working";
import type { Reviewers } from "../view/reviewers";

const signed = (by: number | null) =>
  by === null ? "–" : `${by > 0 ? "+" : by < 0 ? "−" : ""}${Math.abs(by).toFixed(1)}`;

/** How severe each reviewer is, whether they agree, and what the average reviewer would have given. */
export function ReviewersFold({ of, title }: { of: Reviewers; title: string }) {
  return (
    <Fold label={`How the reviewers of ${title} compare`} className="mt-1.5" labelClass="text-sm text-soft">
      <div className="grid gap-2 py-2">
        <p>{of.words}</p>
        {of.says.map((s) => (
          <p key={s} className="border-l-4 border-ochre bg-ochre-wash px-2 py-1 text-sm">
            {s} A reason to ask, not a judgement.
          </p>
        ))}
        <div className="grid items-start gap-5 lg:grid-cols-2">
          <table className="table">
            <caption className="mb-1 text-left text-sm text-soft">
              Above (+) or below (−) the average reviewer, in percent
            </caption>
            <thead>
              <tr>
                <th>Reviewer</th>
                <th className="num">Sheets</th>
                <th className="num">Severity</th>
              </tr>
            </thead>
            <tbody>
              {of.raters.map((r) => (
                <tr key={r.name}>
                  <td>{r.name}</td>
                  <td className="num">{r.sheets}</td>
                  <td className="num">{signed(r.severity)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <table className="table">
            <caption className="mb-1 text-left text-sm text-soft">
              As it was given, and as the average reviewer would have given it, in percent
            </caption>
            <thead>
              <tr>
                <th>Team</th>
                <th className="num">Sheets</th>
                <th className="num">Mean</th>
                <th className="num">Adjusted</th>
              </tr>
            </thead>
            <tbody>
              {of.teams.map((t) => (
                <tr key={t.team}>
                  <td>{t.team}</td>
                  <td className="num">{t.sheets}</td>
                  <td className="num">
                    <Figure working={t.rawWorking}>{t.raw.toFixed(1)}</Figure>
                  </td>
                  <td className="num">
                    <Figure working={t.adjustedWorking}>{t.adjusted === null ? "–" : t.adjusted.toFixed(1)}</Figure>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
    </Fold>
  );
}
