import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, PageHead } from "@/ui/page";
import { BenchTabs } from "../parts/bench-tabs";
import { ClassGrid } from "../parts/class-grid";
import { ProtocolChoice } from "../parts/protocol-choice";
import { SafetyCheck } from "../parts/safety-check";
import { benchValues, safetyChecksOf } from "../queries/runs";
import { addressOf } from "../view/compare";
import { mayBegin } from "../view/safety";

const choices = [1, 3, 5, 8];

/** Attempts of all teams' newest builds in one table, for a class that tests together. */
export async function ClassScreen({ slug, asked }: { slug: string; asked: { protocol?: string; n?: string } }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  const p = frame.project;
  const facts = await projectState(p.id);
  const base = `/p/${slug}/bench/class`;
  const protocol = facts.protocols.find((x) => x.id === asked.protocol) ?? facts.protocols[0];
  const builds = facts.teams.flatMap((t) => (staff || t.id === ownTeam ? (facts.newest.get(t.id) ?? []) : []));
  const head = (
    <>
      <PageHead
        title="Whole class"
        note={protocol ? `${protocol.name} v${protocol.number}, each team's newest build` : undefined}
      />
      <BenchTabs slug={slug} />
    </>
  );
  if (!protocol || builds.length === 0 || p.finishedAt)
    return (
      <>
        {head}
        <Empty title={p.finishedAt ? "The project is finished" : "Nothing to test yet"}>
          {p.finishedAt
            ? "It is a record that takes no attempts until its owner opens it again."
            : "A protocol and a build of each team come first."}
        </Empty>
      </>
    );
  const d = protocol.definition;
  const [{ attempts }, checks] = await Promise.all([
    benchValues(
      builds.map((b) => b.id),
      protocol.id,
      d.primary,
    ),
    d.safety.length ? safetyChecksOf(protocol.id, frame.today) : [],
  ]);
  const waiting = builds.filter((b) => !mayBegin(checks, b.teamId, d.safety));
  const n = choices.find((c) => String(c) === asked.n) ?? 5;
  return (
    <>
      {head}
      <div className="mb-3 flex flex-wrap gap-x-6 gap-y-1">
        <ProtocolChoice
          protocols={facts.protocols}
          chosen={protocol}
          hrefOf={(v) => addressOf(base, { ...asked, protocol: v })}
        />
        <LinkChoice
          label="Attempts"
          options={choices.map((c) => ({ value: String(c), label: `${c} ${c === 1 ? "attempt" : "attempts"}` }))}
          chosen={String(n)}
          hrefOf={(v) => addressOf(base, { ...asked, n: v })}
        />
      </div>
      {waiting.length > 0 && (
        <SafetyCheck
          key={protocol.versionId}
          projectId={p.id}
          protocolId={protocol.id}
          teamId={staff ? undefined : (ownTeam ?? undefined)}
          who={waiting.map((b) => b.team).join(", ")}
          cautions={d.safety}
        />
      )}
      {waiting.length === 0 && (
        <ClassGrid
          key={`${protocol.versionId} ${n}`}
          protocolVersionId={protocol.versionId}
          measures={d.measures}
          conditions={d.conditions}
          attempts={n}
          rows={builds.map((b) => ({
            buildId: b.id as string,
            name: `${b.team} G${b.number}`,
            runs: attempts.find((a) => a.buildId === b.id)?.runs ?? 0,
          }))}
        />
      )}
    </>
  );
}
