import { showIn } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { buildActs } from "@/stages/builds/acts";
import { buildsBefore } from "@/stages/builds/queries/builds";
import { beforeWords } from "@/stages/builds/view/meeting";
import { teamsOf } from "@/stages/teams/queries/teams";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { RecordsTabs } from "../parts/records-tabs";
import { featuresOver } from "../queries/board";
import { faultsOver } from "../queries/cures";
import { editionLine } from "../queries/records";
import { recordedLines } from "../view/records";
import { bestFirst, startFaults, startFeatures } from "../view/start";

/** A team starts from a build of the edition before: which features it keeps, and which faults it leaves behind. */
export async function StartScreen({ slug, build, without }: { slug: string; build?: string; without?: string }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const [before, protocols, ids, teams] = await Promise.all([
    buildsBefore(p.id),
    protocolsOf(p.id),
    editionLine(p.id),
    teamsOf(p.id),
  ]);
  const line = recordedLines(protocols)[0];
  const better = line?.protocol.definition.better ?? "more";
  const [over, faults] = await Promise.all([featuresOver(ids, line), faultsOver(ids)]);
  const ranked = bestFirst(before, better);
  const chosen = before.find((b) => b.id === build) ?? ranked[0];
  const head = (
    <>
      <PageHead
        title="Start from an earlier build"
        note="Keep what did well, leave out what failed. What comes out is the form of a first generation."
      />
      <RecordsTabs slug={slug} />
    </>
  );
  if (!chosen)
    return (
      <>
        {head}
        <Empty title="There is no edition before this one">A team starts from its own concept then.</Empty>
      </>
    );
  const features = startFeatures(chosen.features, without, over.lines, better);
  const failed = startFaults(faults, chosen);
  const shown = (v: number | null | undefined) =>
    v === null || v === undefined || !line ? "–" : showIn(line.channel, v, 2);
  const at = (b: string, w: string) => `/p/${slug}/records/start?build=${b}${w && `&without=${w}`}`;
  const own = teams.filter((t) => may(buildActs.edit, { team: t.id }));
  return (
    <>
      {head}
      <LinkChoice
        label="The build to start from"
        options={ranked.map((b) => ({ value: b.id as string, label: b.name }))}
        chosen={chosen.id}
        hrefOf={(b) => at(b, "")}
      />
      <h2 className="mt-5 mb-1.5">{beforeWords(chosen)}</h2>
      <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-2">
        <section aria-labelledby="features">
          <h3 id="features" className="font-[650]">
            Its features
          </h3>
          {features.length === 0 && <p className="text-soft">None were written.</p>}
          <ul>
            {features.map((f) => (
              <li key={f.feature} className="flex flex-wrap items-baseline gap-x-3 border-t border-line py-1.5">
                <span className={f.left ? "text-soft line-through" : "font-[600]"}>{f.feature}</span>
                <Link href={at(chosen.id, f.turned)} scroll={false} className="underline" replace>
                  {f.left ? "keep" : "leave out"}
                  <span className="sr-only"> {f.feature}</span>
                </Link>
                {f.line && (
                  <span className="basis-full text-sm text-soft">
                    seen in {f.line.seen} builds, median {line?.channel.name.toLowerCase()} {shown(f.line.having)}{" "}
                    against {shown(f.line.lacking)}
                    {f.worse && <span className="text-iron"> · did worse</span>}
                  </span>
                )}
              </li>
            ))}
          </ul>
          <p className="mt-1 text-sm text-soft">Seen together, not tried against each other: no experiment.</p>
        </section>
        <section aria-labelledby="faults">
          <h3 id="faults" className="font-[650]">
            What failed on the way to it
          </h3>
          {failed.length === 0 && <p className="text-soft">Nothing was recorded.</p>}
          <ul>
            {failed.map((f) => (
              <li key={f.fault.id} className="border-t border-line py-1.5">
                <span className="font-[600]">
                  G{f.fault.build} {f.fault.mode}
                </span>
                {f.fault.cause && <span className="text-soft"> · {f.fault.cause}</span>}
                <span className="block text-sm text-soft">
                  {f.fault.cure
                    ? `G${f.fault.answeredBy} answered it: ${f.fault.cure}`
                    : f.elsewhere.length === 0
                      ? "No build has cured this yet."
                      : f.elsewhere
                          .slice(0, 2)
                          .map((e) => `Cured on ${e.fault.team} G${e.fault.answeredBy}: ${e.fault.cure}`)
                          .join(" · ")}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <div className="mt-5 flex flex-wrap gap-2">
        {own.map((t) => (
          <LinkButton
            key={t.id}
            look={own.length > 1 ? "plain" : "main"}
            href={`/p/${slug}/builds/new?team=${t.id}&edition=${chosen.id}&without=${without ?? ""}`}
          >
            {own.length > 1 ? `${t.name} starts from it` : "Start from it"}
          </LinkButton>
        ))}
      </div>
    </>
  );
}
