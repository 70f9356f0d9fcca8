import { showIn } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { RecordsTabs } from "../parts/records-tabs";
import { featuresOver } from "../queries/board";
import { editionLine } from "../queries/records";
import { recordedLines } from "../view/records";

/** Features over the years: what became of them, how the builds that had them did, and what failed on those. */
export async function FeaturesScreen({ slug, measure }: { slug: string; measure?: string }) {
  const { frame } = await projectPage(slug);
  const p = frame.project;
  const [protocols, editions] = await Promise.all([protocolsOf(p.id), editionLine(p.id)]);
  const lines = recordedLines(protocols).filter((l) => !l.channel.levels);
  const name = (l: (typeof lines)[number]) => `${l.protocol.id}.${l.channel.key}`;
  const line = lines.find((l) => name(l) === measure) ?? lines[0];
  const { builds, lines: table } = await featuresOver(editions, line);
  const shown = (v: number | null) => ({
    value: v,
    show: v === null || !line ? "–" : showIn(line.channel, v, 2),
  });
  const unit = line && line.channel.unit !== "1" ? ` (${line.channel.unit})` : "";
  return (
    <>
      <PageHead
        title="Features over the years"
        note={
          `What ${builds} builds of ${plural(editions.length, "edition")} had, ` +
          "and how they did. Seen together, not tried against each other: no experiment."
        }
      />
      <RecordsTabs slug={slug} />
      {line && lines.length > 1 && (
        <div className="mb-3">
          <LinkChoice
            label="Measure"
            options={lines.map((l) => ({ value: name(l), label: l.channel.name }))}
            chosen={name(line)}
            hrefOf={(m) => `/p/${slug}/records/features?measure=${m}`}
          />
        </div>
      )}
      {table.length === 0 ? (
        <Empty title="No build has a feature yet">
          Features are written with each build: double-acting, rubber flap, guided rod. The next class sees here what
          was kept and what was dropped.
        </Empty>
      ) : (
        <DataTable
          caption="Features over the years"
          columns={[
            { key: "feature", text: "Feature" },
            { key: "seen", text: "Builds", num: true },
            { key: "begun", text: "Begun", num: true },
            { key: "inherited", text: "Inherited", num: true },
            { key: "dropped", text: "Dropped", num: true },
            { key: "having", text: `Median with it${unit}`, num: true },
            { key: "lacking", text: `Without it${unit}`, num: true },
            { key: "of", text: "Of builds measured" },
            { key: "faults", text: "What failed on them" },
          ]}
          rows={table.map((l) => ({
            id: l.feature,
            cells: {
              feature: { value: l.feature, show: <span className="font-[600]">{l.feature}</span> },
              seen: l.seen,
              begun: l.begun,
              inherited: l.inherited,
              dropped: l.dropped,
              having: shown(l.having),
              lacking: shown(l.lacking),
              of: `${l.measured} and ${l.others}`,
              faults: l.faults.map((f) => (f.times > 1 ? `${f.fault} (${f.times})` : f.fault)).join("; "),
            },
          }))}
        />
      )}
    </>
  );
}
