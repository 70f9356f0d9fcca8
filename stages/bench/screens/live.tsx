import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import Link from "@/ui/link";
import { PageHead } from "@/ui/page";
import { runActs } from "../acts";
import { LiveCapture } from "../parts/live-capture";
import { SafetyCheck } from "../parts/safety-check";
import { safetyChecksOf } from "../queries/runs";
import { mayBegin } from "../view/safety";
import { ruleWords } from "../view/series";

/** An instrument is listened to, and what it gives becomes series of a build. */
export async function LiveScreen({ slug, asked }: { slug: string; asked: { protocol?: string; build?: string } }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const protocol = facts.protocols.find((x) => x.id === asked.protocol);
  const build = facts.builds.find((b) => b.id === asked.build);
  const measures = protocol?.definition.measures.filter((m) => m.take) ?? [];
  if (!protocol || !build || !measures.length || p.finishedAt) notFound();
  if (!may(runActs.record, { team: build.teamId })) notFound();
  const { safety } = protocol.definition;
  const begun = mayBegin(safety.length ? await safetyChecksOf(protocol.id, frame.today) : [], build.teamId, safety);
  const at = `protocol=${protocol.id}&build=${build.id}`;
  return (
    <>
      <PageHead
        title="From an instrument"
        note={
          <>
            <Link href={`/p/${slug}/bench?${at}`} className="underline">
              {protocol.name}
            </Link>{" "}
            v{protocol.number}, {build.team} G{build.number} ·{" "}
            {measures
              .map((m) => `${m.name} is ${ruleWords(m)}${m.take!.channel ? `, on channel ${m.take!.channel}` : ""}`)
              .join("; ")}
          </>
        }
      />
      {begun ? (
        <LiveCapture
          slug={slug}
          buildId={build.id}
          protocolVersionId={protocol.versionId}
          page={`/p/${slug}/bench/series/live?${at}`}
          measures={measures}
        />
      ) : (
        <SafetyCheck
          projectId={p.id}
          protocolId={protocol.id}
          teamId={build.teamId}
          who={build.team}
          cautions={safety}
        />
      )}
    </>
  );
}
