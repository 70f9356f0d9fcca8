import { runMeasure } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { showIn } from "@/core/run/reading";
import { instant } from "@/platform/pages/dates";
import Link from "@/ui/link";
import type { Option } from "@/ui/option";
import { VerdictMark } from "@/ui/verdict";
import { runCounts } from "../queries/counts";
import { type RequirementRow, requirementHistory } from "../queries/requirements";
import type { ProjectState } from "../queries/state";
import { traceOf } from "../queries/trace";
import { limitWords, measureWords } from "../view/requirements";
import { WithdrawFinding } from "./buttons";
import { FindingForm } from "./finding-form";
import { KeepForm, KeepHolding } from "./keep-form";
import { OwnerForm } from "./owner-form";

/** One requirement traced from its words over its version and verification to where the class stands. */
export async function Detail({
  slug,
  r,
  state,
  staff,
  currency,
  owners,
}: {
  slug: string;
  r: RequirementRow;
  state: ProjectState;
  staff: boolean;
  currency: string;
  /** Who can look after it. */
  owners: Option[];
}) {
  const [history, trace] = await Promise.all([requirementHistory(r.id), traceOf(r.id)]);
  const run = runMeasure(r.measure);
  const protocol = run ? state.protocols.find((x) => x.id === run.protocol) : undefined;
  const counts = protocol ? await runCounts(protocol.id) : { runs: 0, apart: 0 };
  const channel = protocol && channelsOf(protocol.definition).find((c) => c.key === run!.channel);
  const values = state.teams.map((t) => {
    const b = state.newest.get(t.id);
    const v = !b
      ? null
      : protocol && channel
        ? (state.summary(b.id, protocol.id, channel.key)?.counted ?? null)
        : (r.measure === "mass" || r.measure === "cost") && b[r.measure] !== null
          ? Number(fromSi(b[r.measure]!, r.measure === "mass" ? (r.unit ?? "kg") : "1"))
          : null;
    return { t, v, verdict: state.verdict(r.id, b?.id) };
  });
  const target = r.target === null ? null : Number(fromSi(r.target, channel?.unit ?? r.unit ?? "1"));
  const top = Math.max(target ?? 0, ...values.map((x) => x.v ?? 0)) * 1.08 || 1;
  const builds = state.teams.flatMap((t) => {
    const b = state.newest.get(t.id);
    return b ? [{ id: b.id, label: `${t.name} G${b.number}`, team: t.id }] : [];
  });
  const staleBuilds = builds.filter((b) => state.verdict(r.id, b.id) === "stale");
  return (
    <section
      className="grid gap-x-6 gap-y-4 px-4 py-3 md:grid-cols-2 xl:grid-cols-4"
      aria-label={`${r.code} in detail`}
    >
      <div>
        <h3 className="mb-1.5">{r.code} · in the words of</h3>
        {trace.statements.map((x) => (
          <div key={x.id} className="mb-1.5">
            {x.notes.map((n) => (
              <blockquote key={n.text} className="border-l-3 border-stone-3 pl-3">
                “{n.text}”
                <span className="block text-sm text-soft">
                  {n.author},{" "}
                  <Link href={`/p/${slug}/needs/sources/${n.sourceId}`} className="underline">
                    {n.source}
                  </Link>
                  {n.question && `, asked: ${n.question}`}
                </span>
              </blockquote>
            ))}
            <p className="mt-0.5 text-sm">became “{x.text}”</p>
          </div>
        ))}
        {r.source && !trace.statements.length && (
          <blockquote className="border-l-3 border-stone-3 pl-3">{r.source}</blockquote>
        )}
        {trace.rules.map((k) => (
          <p key={k} className="text-sm text-soft">
            Rule of the{" "}
            <Link href={`/p/${slug}/brief`} className="underline">
              brief
            </Link>
            : {k.replace(/#/g, "…")}
          </p>
        ))}
        {!r.source && !trace.statements.length && !trace.rules.length && (
          <p className="text-ochre-deep">No source is noted. Later nobody can say where this came from.</p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Requirement, version {r.number}</h3>
        <p className="font-[600]">
          {r.comparator ? `${measureWords(r, state.protocols)} ${limitWords(r, currency)}` : "no measure yet"}
        </p>
        <ol className="mt-1 text-sm text-soft">
          {history.map((h) => (
            <li key={h.number} className="border-t border-line py-0.5">
              v{h.number}, {instant(h.createdAt)}, {h.createdBy}
              {h.number !== r.number && h.comparator && <>: was {limitWords(h as RequirementRow, currency)}</>}
              {h.reason && <>. {h.reason}</>}
            </li>
          ))}
        </ol>
        {staff && (
          <p className="no-print mt-2">
            <Link href={`/p/${slug}/needs/${r.id}`} className="underline">
              Change or retire
            </Link>
          </p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Verified by</h3>
        {protocol ? (
          <>
            <p>
              <Link href={`/p/${slug}/bench?protocol=${protocol.id}`} className="font-[600] hover:text-iron">
                {protocol.name} v{protocol.number}
              </Link>
              , {protocol.definition.policy.school.replace("-", " ")} counts
            </p>
            <p className="text-sm text-soft">
              {counts.runs} runs, {counts.apart} not comparable
            </p>
          </>
        ) : r.measure ? (
          <p>The {r.measure === "envelope" ? "sides" : r.measure} that each build records.</p>
        ) : (
          <p>{r.method ?? "Not decided"}: somebody looks or tries, and says so.</p>
        )}
        {trace.builds.length > 0 && (
          <p className="mt-1.5 text-sm text-soft">
            Evidence from {trace.builds.length} builds
            {trace.builds.some((b) => b.runs) ? ` and ${trace.builds.reduce((s, b) => s + b.runs, 0)} runs` : ""}:{" "}
            {trace.builds.slice(-8).map((b, i) => (
              <span key={b.id}>
                {i > 0 && ", "}
                <Link href={`/p/${slug}/builds/${b.id}`} className="underline">
                  {b.label}
                </Link>
              </span>
            ))}
            {trace.builds.length > 8 && " and earlier ones"}
          </p>
        )}
        {trace.findings.length > 0 && (
          <ul className="mt-1.5 text-sm">
            {trace.findings.slice(0, 8).map((f) => (
              <li key={f.id}>
                {f.label}: {f.finding}
                {f.note && `, ${f.note}`} <span className="text-soft">{f.by}</span>{" "}
                {staff && <WithdrawFinding id={f.id} />}
              </li>
            ))}
          </ul>
        )}
        {trace.reviews.length > 0 && (
          <p className="mt-1 text-sm text-soft">
            Leaned on in{" "}
            {trace.reviews.map((v, i) => (
              <span key={v.id}>
                {i > 0 && ", "}
                <Link href={`/p/${slug}/reviews/${v.id}`} className="underline">
                  {v.label}
                </Link>{" "}
                ({v.verdict})
              </span>
            ))}
          </p>
        )}
      </div>
      <div>
        <h3 className="mb-1.5">Where the class stands</h3>
        {values.some((x) => x.v !== null) ? (
          <svg
            viewBox="0 0 240 96"
            className="w-full max-w-64"
            role="img"
            aria-label={values
              .map((x) => `${x.t.name} ${x.v === null ? "nothing" : showIn(channel ?? {}, x.v, 2)}, ${x.verdict}`)
              .join("; ")}
          >
            {values.map((x, i) => {
              const w = 240 / values.length;
              const h = x.v === null ? 0 : (72 * x.v) / top;
              return (
                <g key={x.t.id}>
                  <rect
                    x={i * w + w * 0.18}
                    y={76 - h}
                    width={w * 0.64}
                    height={h}
                    fill={
                      {
                        met: "#526b3c",
                        marginal: "#a87413",
                        "not met": "#b9a282",
                        stale: "#8fa0ad",
                        untested: "#d3c4ab",
                        "not applicable": "#d3c4ab",
                      }[x.verdict]
                    }
                  />
                  <text x={i * w + w / 2} y={91} textAnchor="middle" fontSize="11" fill="#6b6258">
                    {x.t.name[0]}
                  </text>
                </g>
              );
            })}
            {target !== null && (
              <line
                x1="0"
                x2="240"
                y1={76 - (72 * target) / top}
                y2={76 - (72 * target) / top}
                stroke="#231f1b"
                strokeDasharray="4 3"
              />
            )}
          </svg>
        ) : (
          <ul className="text-sm">
            {values.map((x) => (
              <li key={x.t.id} className="flex gap-2">
                <VerdictMark verdict={x.verdict} />
                {x.t.name}
              </li>
            ))}
          </ul>
        )}
      </div>
      {staff && (
        <div className="no-print md:col-span-2 xl:col-span-4">
          <OwnerForm id={r.id} ownerId={r.ownerId} people={owners} />
        </div>
      )}
      {staff && (!r.measure || staleBuilds.length > 0) && builds.length > 0 && (
        <div className="no-print grid gap-3 border-t border-line pt-3 md:col-span-2 xl:col-span-4">
          {!r.measure && <FindingForm requirementId={r.id} builds={builds} />}
          {staleBuilds.length > 0 && (
            <>
              <KeepHolding requirementId={r.id} />
              <KeepForm requirementId={r.id} builds={staleBuilds} />
            </>
          )}
        </div>
      )}
    </section>
  );
}
