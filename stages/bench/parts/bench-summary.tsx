import { formatNumber } from "@/core/quantity/quantity";
import { showIn } from "@/core/run/reading";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { type BenchView, sizeOf } from "../view/bench";

/** What the attempts come to: the counted value, the scatter, and the requirements that ask for it. */
export function BenchSummary({
  view,
  slug,
  method,
  at,
}: {
  view: BenchView;
  slug: string;
  method: string;
  at: Record<string, string>;
}) {
  const { summary, primary } = view;
  if (!summary || summary.n === 0) return null;
  const spread = summary.sd === null ? "" : ` · spread (sd) ${formatNumber(summary.sd, 2)}`;
  return (
    <div className="my-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <span>
        <span className="text-soft">counts ({method.replace("-", " ")})</span>{" "}
        <Figure big unit={primary.unit} working={workingAt(slug, "summary", at)}>
          {summary.counted === null ? "–" : showIn(primary, summary.counted, 2)}
        </Figure>
      </span>
      <span className="text-soft">
        {summary.mean === null ? "" : `mean ${formatNumber(summary.mean, 2)}${spread} · `}
        {summary.best !== null && `best ${showIn(primary, summary.best, 2)} · `}n = {summary.n}
        {summary.setAside > 0 && `, ${summary.setAside} left out`}
      </span>
      {view.verdicts.map(({ id, code, value }) => (
        <span key={code} className="flex items-center gap-1.5">
          <Link href={`/p/${slug}/needs?r=${code}`} className="font-[600] hover:text-iron">
            {code}
          </Link>
          <Figure working={workingAt(slug, "verdict", { requirement: id, build: at.build! })} className="border-b-0">
            <VerdictMark verdict={value} word />
          </Figure>
        </span>
      ))}
    </div>
  );
}

/** The build against the generation before it, in words. */
export function BenchComparison({ view, number }: { view: BenchView; number: number }) {
  const { comparison, before, primary, changed } = view;
  if (!comparison) return null;
  const told = comparison.value.kind === "compared" && comparison.value.distinct ? comparison.value : null;
  const size = told && sizeOf(told);
  return (
    <p className={cx("my-3 rounded-md px-4 py-2.5", told ? "bg-moss-wash" : "bg-ochre-wash")}>
      {told ? (
        <>
          G{number} gives {told.difference > 0 ? "more" : "less"} than G{before!.number} by{" "}
          <Figure working={comparison.working} unit={primary.unit} className="font-[650]">
            {formatNumber(size!.size, 2)}
          </Figure>{" "}
          ({formatNumber(size!.from, 2)} to {formatNumber(size!.to, 2)}): larger than the scatter between runs.{" "}
        </>
      ) : (
        <>
          <Figure working={comparison.working}>{`G${number} against G${before!.number}`}</Figure>:{" "}
          {comparison.value.sentence}{" "}
        </>
      )}
      {changed.length > 1
        ? `${changed.length} variables changed (${changed.join(", ")}), so the record cannot say which one did it.`
        : changed.length === 1
          ? `One variable changed: ${changed[0]}.`
          : ""}
    </p>
  );
}
