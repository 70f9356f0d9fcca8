import { notFound } from "next/navigation";
import { isId } from "@/platform/db/id";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import Link from "@/ui/link";
import { PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { withdrawSeriesAction } from "../actions";
import { runActs } from "../acts";
import { SafetyCheck } from "../parts/safety-check";
import { SeriesAttempt } from "../parts/series-attempt";
import { SeriesView } from "../parts/series-view";
import { protocolsOf, safetyChecksOf } from "../queries/runs";
import { curveOf, measureOf, seriesOf, takenOf } from "../queries/series";
import { mayBegin } from "../view/safety";
import { becameWords, ruleWords, silentWords, takenPart, takenWords } from "../view/series";

/** One series: its curve, what the protocol takes from it, the part that counts, and the attempt that it becomes. */
export async function SeriesScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const [s] = isId(id) ? await seriesOf({ id }) : [];
  if (!s || s.projectId !== p.id) notFound();
  const measure = measureOf(s);
  const whole = { from: s.starts ?? 0, to: s.ends ?? 0 };
  const together = s.capture ? (await seriesOf({ capture: s.capture })).filter((x) => x.id !== s.id) : [];
  const [curve, taken, others, protocols, checks] = await Promise.all([
    curveOf(s.id, whole),
    takenOf(s),
    Promise.all(together.map(async (x) => ({ series: x, measure: measureOf(x), taken: await takenOf(x) }))),
    protocolsOf(p.id),
    safetyChecksOf(s.protocolId, frame.today),
  ]);
  const mine = may(runActs.record, { team: s.teamId }) && !p.finishedAt;
  const current = protocols.some((x) => x.versionId === s.protocolVersionId);
  const begun = mayBegin(checks, s.teamId, s.definition.safety);
  const words = takenWords(measure, taken.si);
  /** What else the attempt takes: of the series of the same time those that hold a value and are no attempt yet. */
  const used = others.filter((o) => o.taken.value && !o.series.runId);
  const back = `/p/${slug}/bench?protocol=${s.protocolId}&build=${s.buildId}`;
  return (
    <>
      <PageHead
        title={
          <>
            {measure.name} <span className="font-normal text-soft">of {s.build}</span>
          </>
        }
        note={
          <>
            {s.source && `${s.source} · `}
            {s.samples} samples · kept by {s.by}, {instant(s.at)} ·{" "}
            <Link href={back} className="underline">
              {s.protocol}
            </Link>
          </>
        }
      >
        {mine && (
          <WithdrawButton
            action={withdrawSeriesAction}
            id={s.id}
            says="The series goes, with all of its samples."
            goTo={back}
          >
            Withdraw
          </WithdrawButton>
        )}
      </PageHead>
      <p className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span>
          <span className="text-soft">{ruleWords(measure)}:</span>{" "}
          <Figure big working={taken.working}>
            {words}
          </Figure>
        </span>
        {taken.silent.length > 0 && <span className="text-ochre-deep">{silentWords(taken.silent)}</span>}
        {taken.value === null && <span className="text-iron">{taken.working.warnings.join(" ")}</span>}
        {s.fromT !== null && (
          <span className="text-soft">
            of the part from {s.fromT} s to {s.toT} s: {s.reason}
          </span>
        )}
        {s.runId && <span className="text-soft">is {becameWords(s)}</span>}
      </p>
      {others.length > 0 && (
        <p className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-sm">
          <span className="text-soft">Taken at the same time:</span>
          {others.map((o) => (
            <span key={o.series.id}>
              <Link href={`/p/${slug}/bench/series?id=${o.series.id}`} className="font-[600] underline">
                {o.measure.name}
              </Link>{" "}
              <Figure working={o.taken.working}>{takenWords(o.measure, o.taken.si)}</Figure>
            </span>
          ))}
        </p>
      )}
      <SeriesView
        key={s.id}
        id={s.id}
        version={s.version}
        name={measure.name}
        unit={s.unit}
        whole={whole}
        curve={curve}
        taken={takenPart(taken.value, words)}
        level={measure.take?.level ? Number(measure.take.level) : null}
        part={s.fromT === null ? null : { from: s.fromT, to: s.toT! }}
        reason={s.reason}
        may={mine}
      />
      {mine && !s.runId && taken.value && (
        <div className="mt-4 max-w-[860px]">
          {!current && (
            <p className="text-ochre-deep">
              The protocol has a newer version since: this series stays a record, and is no attempt any more.
            </p>
          )}
          {current && !begun && (
            <SafetyCheck
              projectId={p.id}
              protocolId={s.protocolId}
              teamId={s.teamId}
              who={s.build}
              cautions={s.definition.safety}
            />
          )}
          {current && begun && (
            <Sheet title={s.simulated ? "Make it a pilot run" : "Make it an attempt"}>
              {s.simulated && (
                <p className="mb-2 text-soft">
                  A simulated instrument tries a protocol out: what it gives never counts.
                </p>
              )}
              <SeriesAttempt
                seriesIds={[s.id, ...used.map((o) => o.series.id)]}
                buildId={s.buildId}
                protocolVersionId={s.protocolVersionId}
                measures={s.definition.measures.filter(
                  (m) => m.key !== s.key && !used.some((o) => o.series.key === m.key),
                )}
                conditions={s.definition.conditions}
                pilot={s.simulated}
                words={[{ measure, taken }, ...used]
                  .map((x) => `${x.measure.name} is taken from its series: ${takenWords(x.measure, x.taken.si)}.`)
                  .join(" ")}
              />
            </Sheet>
          )}
        </div>
      )}
    </>
  );
}
