import { Fold } from "@/ui/fold";
import { DataTable } from "@/ui/table";
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
          <section aria-label="Severity">
            <p className="mb-1 text-sm text-soft">Above (+) or below (−) the average reviewer, in percent</p>
            <DataTable
              caption={`Reviewers of ${title}`}
              columns={[
                { key: "name", text: "Reviewer" },
                { key: "sheets", text: "Sheets", num: true },
                { key: "severity", text: "Severity", num: true },
              ]}
              rows={of.raters.map((r) => ({
                id: r.name,
                cells: {
                  name: r.name,
                  sheets: r.sheets,
                  severity: { value: r.severity, show: signed(r.severity) },
                },
              }))}
            />
          </section>
          <section aria-label="Adjusted means">
            <p className="mb-1 text-sm text-soft">
              As it was given, and as the average reviewer would have given it, in percent
            </p>
            <DataTable
              caption={`Teams in ${title}`}
              columns={[
                { key: "team", text: "Team" },
                { key: "sheets", text: "Sheets", num: true },
                { key: "raw", text: "Mean", num: true },
                { key: "adjusted", text: "Adjusted", num: true },
              ]}
              rows={of.teams.map((t) => ({
                id: t.team,
                cells: {
                  team: t.team,
                  sheets: t.sheets,
                  raw: { value: t.raw, show: <Figure working={t.rawWorking}>{t.raw.toFixed(1)}</Figure> },
                  adjusted: {
                    value: t.adjusted,
                    show: (
                      <Figure working={t.adjustedWorking}>{t.adjusted === null ? "–" : t.adjusted.toFixed(1)}</Figure>
                    ),
                  },
                },
              }))}
            />
          </section>
        </div>
      </div>
    </Fold>
  );
}
