import { notFound } from "next/navigation";
import { changedVariables } from "@/core/builds/variables";
import { primaryOf } from "@/core/run/protocol";
import { showIn } from "@/core/run/reading";
import { isId } from "@/platform/db/id";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { proposalOf } from "@/stages/concepts/queries/concepts";
import { projectState } from "@/stages/needs/queries/state";
import { limitWords } from "@/stages/needs/view/requirements";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { WithdrawBuild } from "../parts/buttons";
import { FailureList } from "../parts/failure-list";
import { MeetingTable } from "../parts/meeting-table";
import { PartsSheet } from "../parts/parts-sheet";
import { PhotosSheet } from "../parts/photos-sheet";
import { PiecesSheet } from "../parts/pieces-sheet";
import { ProposedSheet } from "../parts/proposed-sheet";
import { buildById } from "../queries/builds";
import { failuresOf } from "../queries/failures";
import { partsOf } from "../queries/parts";
import { piecesOf } from "../queries/pieces";
import { causesToChoose } from "../view/failures";
import { featuresView } from "../view/features";
import { margin, weightOf } from "../view/generations";
import { partsView } from "../view/parts";
import { claimsView, proposedView } from "../view/proposed";

/** One build: its record, its limits with margins, its photos, and how every requirement stands. */
export async function BuildScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  if (!isId(id)) notFound();
  const p = frame.project;
  const [b, facts, failures, parts, pieces, settings] = await Promise.all([
    buildById(p.id, id),
    projectState(p.id),
    failuresOf(p.id),
    partsOf(id),
    piecesOf(id),
    settingsOf(p.id),
  ]);
  if (!b) notFound();
  const proposal = await proposalOf(b.teamId);
  const listed = partsView(parts, b, frame.units, settings.donated);
  const mine = staff || b.teamId === ownTeam;
  const siblings = facts.builds.filter((x) => x.teamId === b.teamId);
  const parents = facts.builds.filter((x) => b.parents.includes(x.id));
  const features = featuresView(b, b.ancestor ? [...parents, b.ancestor] : parents);
  const seesProposal = mine || settings.conceptsOpen;
  const [protocol] = facts.protocols;
  const channel = protocol && primaryOf(protocol.definition);
  const foretold = channel ?? {};
  const own = failures.filter((f) => f.buildId === b.id);
  const changed = parents.length === 1 ? changedVariables(parents[0]!.variables, b.variables) : null;
  const statuses = facts.requirements.map((r) => ({
    r,
    verdict: facts.verdict(r.id, b.id),
    m: margin(r, b, frame.units),
  }));
  return (
    <>
      <PageHead
        title={
          <>
            {b.team} <span className="text-soft">G{b.number}</span>
          </>
        }
        note={
          `${b.stage}, built ${fullDate(b.builtOn)} · recorded by ${b.recordedBy}, ${instant(b.createdAt)}` +
          `${b.revision > 1 ? ` · revision ${b.revision}` : ""}`
        }
      >
        {facts.protocols.length > 0 && (
          <LinkButton href={`/p/${slug}/bench?build=${b.id}`}>{mine ? "Test it" : "Its runs"}</LinkButton>
        )}
        {mine && <LinkButton href={`/p/${slug}/builds/${b.id}/edit`}>Edit</LinkButton>}
        {staff && <WithdrawBuild id={b.id} goTo={`/p/${slug}/builds`} />}
      </PageHead>
      <nav aria-label="Generations" className="no-print mb-3 text-soft">
        {siblings.map((x, i) => (
          <span key={x.id}>
            {i > 0 && " → "}
            <Link
              href={`/p/${slug}/builds/${x.id}`}
              aria-current={x.id === b.id ? "page" : undefined}
              className={x.id === b.id ? "font-[650] text-ink" : "hover:text-ink"}
            >
              G{x.number}
            </Link>
          </span>
        ))}
      </nav>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <Sheet title="Record">
            <dl className="grid grid-cols-[120px_1fr] gap-y-1.5">
              {(
                [
                  ["What changed", b.whatChanged],
                  ["Why", b.why],
                  [
                    "Expected",
                    [b.expected, b.predicted && `predicted ${showIn(foretold, Number(b.predicted), 1)}`]
                      .filter(Boolean)
                      .join("; "),
                  ],
                  ...weightOf(b, frame.units, p.currency),
                  ["Good", b.good],
                  ["Not good", b.notGood],
                  ["What it taught", b.learned],
                  ["Made by", b.maker],
                  [
                    "Made from",
                    [
                      ...parents.map((x) => `${x.team} G${x.number}`),
                      ...(b.ancestor ? [`${b.ancestor.name} of ${b.ancestor.edition}`] : []),
                    ].join(", "),
                  ],
                  ["Features", features.added.join(", ")],
                  ["Kept", features.kept.join(", ")],
                  ["Dropped", features.dropped.map((d) => `${d.feature}${d.reason && ` (${d.reason})`}`).join(", ")],
                ] as (readonly [string, string])[]
              ).map(
                ([k, v]) =>
                  v && (
                    <div key={k} className="contents">
                      <dt className="text-soft">{k}</dt>
                      <dd>{v}</dd>
                    </div>
                  ),
              )}
            </dl>
          </Sheet>
          {Object.keys(b.variables).length > 0 && (
            <Sheet
              title="Design variables"
              aside={
                changed &&
                (changed.length === 0
                  ? "the same as before: a repeat"
                  : changed.length === 1
                    ? "one changed: clean"
                    : `${changed.length} changed: a difference cannot be put down to one`)
              }
            >
              <table className="w-full">
                <tbody>
                  {Object.entries(b.variables).map(([k, v]) => (
                    <tr key={k} className="border-b border-line last:border-0">
                      <td className="py-0.5 text-soft">{k}</td>
                      <td className={cx("py-0.5", changed?.includes(k) && "font-[650]")}>{v}</td>
                      <td className="py-0.5 text-sm text-soft">
                        {changed?.includes(k) && `was ${parents[0]!.variables[k] ?? "not set"}`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Sheet>
          )}
          {parents.length > 1 && (
            <Sheet title="What met here">
              <MeetingTable
                base={`/p/${slug}/builds`}
                builds={parents}
                channel={channel}
                reached={(id) =>
                  protocol && channel ? (facts.summary(id, protocol.id, channel.key)?.counted ?? null) : null
                }
                failed={(id) => failures.filter((f) => f.buildId === id && f.closedBy === null).map((f) => f.mode)}
              />
            </Sheet>
          )}
          {proposal && seesProposal && (
            <ProposedSheet
              proposal={proposal}
              build={b}
              rows={proposedView(proposal, b, frame.units, p.currency)}
              claims={claimsView(proposal.claims, b.id, facts)}
            />
          )}
          {(parts.length > 0 || mine) && (
            <PartsSheet
              href={`/p/${slug}/builds/${b.id}/parts`}
              view={listed}
              mass={frame.units.mass}
              currency={p.currency}
            />
          )}
          <PiecesSheet href={`/p/${slug}/builds/${b.id}/pieces`} pieces={pieces} />
          <Sheet title="What failed">
            <FailureList
              buildId={b.id}
              failures={own}
              later={siblings
                .filter((x) => x.number > b.number)
                .map((x) => ({ value: x.id as string, label: `answered by G${x.number}` }))}
              causes={causesToChoose(failures.map((f) => f.cause))}
              photos={b.photos}
              mine={mine}
            />
          </Sheet>
          <PhotosSheet build={b} failures={own} mine={mine} />
        </div>
        <Sheet
          title="Against the requirements"
          aside={`${statuses.filter((x) => x.verdict === "met").length} met of ${statuses.length}`}
        >
          <DataTable
            caption="Requirements of this build"
            filtered={false}
            columns={[
              { key: "requirement", text: "Requirement" },
              { key: "limit", text: "Limit", className: "text-right whitespace-nowrap" },
              { key: "status", text: "Status" },
            ]}
            rows={statuses.map(({ r, verdict, m }) => ({
              id: r.id,
              cells: {
                requirement: {
                  value: `${r.code} ${r.statement}`,
                  show: (
                    <>
                      <Link href={`/p/${slug}/needs?r=${r.code}`} className="font-[600] hover:text-iron">
                        {r.code}
                      </Link>{" "}
                      <span className="text-soft">{r.statement}</span>
                    </>
                  ),
                },
                limit: {
                  value: [limitWords(r, p.currency), m && `margin ${m.text}`].filter(Boolean).join(", "),
                  show: (
                    <>
                      {limitWords(r, p.currency)}
                      {m && (
                        <span className={cx("block text-sm", m.bad ? "text-iron" : "text-soft")}>margin {m.text}</span>
                      )}
                    </>
                  ),
                },
                status: {
                  value: verdict,
                  show: (
                    <Figure
                      working={workingAt(slug, "verdict", { requirement: r.id, build: b.id })}
                      className="border-b-0"
                    >
                      <VerdictMark verdict={verdict} word />
                    </Figure>
                  ),
                },
              },
            }))}
          />
        </Sheet>
      </div>
    </>
  );
}
