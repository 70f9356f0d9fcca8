import { formatNumber } from "@/core/quantity/quantity";
import { Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import type { BenchView } from "../view/bench";

const percent = (share: number | null) => (share === null ? "–" : `${formatNumber(100 * share, 0)} %`);

/** A machine of steps: how often each step is passed when it is reached, the chain, and what is worth repairing. */
export function SequenceTable({
  sequence: { now, before },
  before: generation,
}: {
  sequence: NonNullable<BenchView["sequence"]>;
  /** Number of the build before. */
  before: number | undefined;
}) {
  const { steps, chain, trials, repair } = now.value;
  return (
    <Sheet
      className="my-3"
      title="Step by step"
      aside={
        repair === null ? undefined : (
          <>
            a repair of <span className="font-[600] text-ink">{steps[repair]!.name}</span> gains most
          </>
        )
      }
    >
      <p className="mb-2">
        {chain === null ? (
          <span className="text-soft">No trial came as far as the last steps yet.</span>
        ) : (
          <>
            The whole chain passes{" "}
            <Figure working={now.working} unit="%" className="font-[650]">
              {formatNumber(100 * chain, 0)}
            </Figure>
            {trials === null ? "" : `, so the first success takes ${formatNumber(trials, 1)} trials on average`}
            {before && before.value.chain !== null && generation !== undefined
              ? `; G${generation} passed ${percent(before.value.chain)}`
              : ""}
            .
          </>
        )}
      </p>
      <DataTable
        caption="Steps"
        columns={[
          { key: "step", text: "Step" },
          { key: "reached", text: "Reached", num: true },
          { key: "passed", text: "Passed", num: true },
          { key: "share", text: "Passed of reached", num: true },
          { key: "interval", text: "95 % interval", num: true },
          ...(before ? [{ key: "before", text: `G${generation}`, num: true }] : []),
        ]}
        rows={steps.map((s, i) => ({
          id: s.name,
          cells: {
            step: { value: i + 1, show: `${i + 1} ${s.name}` },
            reached: { value: s.reached },
            passed: { value: s.passed },
            share: { value: s.share, show: percent(s.share) },
            interval: {
              value: s.interval?.[0] ?? null,
              show: s.interval ? `${formatNumber(100 * s.interval[0], 0)} to ${percent(s.interval[1])}` : "–",
            },
            before: {
              value: before?.value.steps[i]?.share ?? null,
              show: percent(before?.value.steps[i]?.share ?? null),
            },
          },
        }))}
      />
    </Sheet>
  );
}
