import { formatNumber } from "@/core/quantity/quantity";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import type { BenchView } from "../view";

/** What the attempts come to: the counted value, the scatter, and the requirements that ask for it. */
export function BenchSummary({ view, slug, method }: { view: BenchView; slug: string; method: string }) {
  const { summary, primary } = view;
  if (summary.value.n === 0) return null;
  return (
    <div className="my-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <span>
        <span className="text-soft">counts ({method.replace("-", " ")})</span>{" "}
        <Figure big unit={primary.unit} working={summary.working}>
          {formatNumber(summary.value.counted ?? 0, 2)}
        </Figure>
      </span>
      <span className="text-soft">
        mean {formatNumber(summary.value.mean!, 2)}
        {summary.value.sd !== null && ` · spread (sd) ${formatNumber(summary.value.sd, 2)}`} · best{" "}
        {formatNumber(summary.value.best!, 2)} · n = {summary.value.n}
        {summary.value.setAside > 0 && `, ${summary.value.setAside} left out`}
      </span>
      {view.verdicts.map(({ code, status }) => (
        <span key={code} className="flex items-center gap-1.5">
          <Link href={`/p/${slug}/needs?r=${code}`} className="font-[600] hover:text-iron">
            {code}
          </Link>
          <Figure working={status.working} className="border-b-0">
            <VerdictMark verdict={status.value} word />
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
  return (
    <p
      className={cx(
        "my-3 rounded-md px-4 py-2.5",
        comparison.value.kind === "compared" && comparison.value.distinct ? "bg-moss-wash" : "bg-ochre-wash",
      )}
    >
      {comparison.value.kind === "compared" && comparison.value.distinct ? (
        <>
          G{number} gives {comparison.value.difference > 0 ? "more" : "less"} than G{before!.number} by{" "}
          <Figure working={comparison.working} unit={primary.unit} className="font-[650]">
            {formatNumber(Math.abs(comparison.value.difference), 2)}
          </Figure>{" "}
          (
          {comparison.value.interval
            .map((x) => formatNumber(Math.abs(x), 2))
            .sort()
            .join(" to ")}
          ): larger than the scatter between runs.{" "}
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
