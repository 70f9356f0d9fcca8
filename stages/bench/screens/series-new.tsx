import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { PageHead } from "@/ui/page";
import { runActs } from "../acts";
import { SeriesUpload } from "../parts/series-upload";
import { ruleWords } from "../view/series";

/** A logger's file becomes a series of a build. */
export async function NewSeriesScreen({ slug, asked }: { slug: string; asked: { protocol?: string; build?: string } }) {
  const { frame, may } = await projectPage(slug);
  const facts = await projectState(frame.project.id);
  const protocol = facts.protocols.find((x) => x.id === asked.protocol);
  const build = facts.builds.find((b) => b.id === asked.build);
  const measures = protocol?.definition.measures.filter((m) => m.take) ?? [];
  if (!protocol || !build || !measures.length || !may(runActs.record, { team: build.teamId })) notFound();
  return (
    <>
      <PageHead
        title="From a logger's file"
        note={`${protocol.name} v${protocol.number}, ${build.team} G${build.number} · ${measures
          .map((m) => `${m.name} is ${ruleWords(m)}`)
          .join("; ")}`}
      />
      <SeriesUpload
        slug={slug}
        buildId={build.id}
        protocolVersionId={protocol.versionId}
        measures={measures.map((m) => ({ key: m.key, name: m.name, unit: m.take!.unit }))}
      />
    </>
  );
}
