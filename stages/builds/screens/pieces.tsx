import { notFound } from "next/navigation";
import { isId } from "@/platform/db/id";
import { instant, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Fold } from "@/ui/fold";
import { Caution, LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { buildActs } from "../acts";
import { blankPiece, CopyPieces, ListPieces, PieceForm } from "../parts/piece-forms";
import { PiecePhotos } from "../parts/piece-photos";
import { PieceSteps } from "../parts/piece-steps";
import { buildById, buildsOf } from "../queries/builds";
import { partsOf } from "../queries/parts";
import { piecesOf, settingsFound } from "../queries/pieces";
import { writeLines } from "../view/lines";
import { piecesOfParts, piecesView } from "../view/pieces";

/** The pieces of a build: who makes which, how far each is, how far off, and how the deviations add up. */
export async function PiecesScreen({ slug, id }: { slug: string; id: string }) {
  const page = await projectPage(slug);
  if (!isId(id)) notFound();
  const { project: p, units } = page.frame;
  const [b, pieces, teams, builds, found, parts] = await Promise.all([
    buildById(p.id, id),
    piecesOf(id),
    teamsOf(p.id),
    buildsOf(p.id),
    settingsFound(p.id),
    partsOf(id),
  ]);
  if (!b) notFound();
  const mine = page.may(buildActs.edit, { team: b.teamId }) && !p.finishedAt;
  const view = piecesView(pieces, units.side);
  const members = (teams.find((t) => t.id === b.teamId)?.members ?? []).map((m) => ({ value: m.id, label: m.name }));
  const lines = parts.map((l) => ({ value: l.id, label: l.name }));
  const unlisted = mine ? piecesOfParts(parts, pieces).length : 0;
  const before = builds.filter((x) => b.parents.includes(x.id));
  const once = view.rows.some((r) => r.piece.oneChance && r.missing.length > 0);
  return (
    <>
      <PageHead
        title={
          <>
            {b.team} <span className="text-soft">G{b.number}</span>: pieces and makers
          </>
        }
        note="Who makes which piece, what was seen to before it is cut, and what it measures."
      >
        {mine &&
          before.map((x) => <CopyPieces key={x.id} buildId={b.id} fromId={x.id} from={`${x.team} G${x.number}`} />)}
        {unlisted > 0 && <ListPieces buildId={b.id} count={unlisted} />}
        {pieces.some((x) => x.nominal !== null) && (
          <LinkButton href={`/p/${slug}/shop/cutting?build=${b.id}`}>Plan the cuts</LinkButton>
        )}
        <LinkButton href={`/p/${slug}/builds/${b.id}`}>To the build</LinkButton>
      </PageHead>
      {mine && (once || pieces.some((x) => x.machine)) && (
        <div className="mb-3 max-w-[860px]">
          <Caution>
            A knife, saw, drill or laser is used by whoever is trained and signed off for it, with the eyes protected
            and somebody within call. Stay with a laser while it cuts. The school's rules and the machine's own come
            first.
          </Caution>
        </div>
      )}
      <DataTable
        caption="Pieces"
        empty="No piece is listed yet. List what somebody has to make: frames, sides, panels."
        columns={[
          { key: "name", text: "Piece", className: "min-w-40" },
          { key: "maker", text: "Made by" },
          { key: "length", text: `Should measure (${units.side})`, num: true },
          { key: "off", text: `Off by (${units.side})`, num: true },
          { key: "steps", text: "Seen to", className: "min-w-72" },
          ...(mine ? [{ key: "tools", text: "", className: "no-print min-w-32" }] : []),
        ]}
        rows={view.rows.map((r) => ({
          id: r.piece.id,
          cells: {
            name: {
              value: r.piece.name,
              show: (
                <>
                  <span className="font-[600]">{r.piece.name}</span>
                  <span className="block text-sm text-soft">
                    {[
                      r.piece.oneChance && "cut once",
                      r.piece.part && r.piece.part !== r.piece.name && `of ${r.piece.part}`,
                      r.piece.material,
                      r.piece.machine,
                    ]
                      .filter(Boolean)
                      .join(", ")}
                  </span>
                  <PiecePhotos name={r.piece.name} photos={r.piece.photos} mine={mine} />
                </>
              ),
            },
            maker: { value: r.piece.maker ?? "", show: r.piece.maker ?? <span className="text-iron">nobody</span> },
            length: {
              value: r.piece.nominal === null ? null : Number(r.piece.nominal),
              show: r.length === null ? "–" : `${r.length}${r.tolerance === null ? "" : ` ± ${r.tolerance}`}`,
            },
            off: {
              value: r.off,
              show: <span className={r.outside ? "font-[600] text-iron" : ""}>{r.offShown ?? "–"}</span>,
            },
            steps: {
              value: r.done,
              show: (
                <PieceSteps
                  id={r.piece.id}
                  name={r.piece.name}
                  steps={r.steps}
                  done={Object.fromEntries(r.piece.steps.map((s) => [s.step, `${s.by}, ${instant(s.at)}`]))}
                  missing={r.missing}
                  mine={mine}
                  staff={mine && page.may(buildActs.release, { team: b.teamId })}
                />
              ),
            },
            tools: {
              value: "",
              show: mine && (
                <PieceForm
                  buildId={b.id}
                  id={r.piece.id}
                  version={r.piece.version}
                  name={r.piece.name}
                  defaults={{
                    name: r.piece.name,
                    makerId: r.piece.makerId ?? "",
                    partId: r.piece.partId ?? "",
                    oneChance: r.piece.oneChance,
                    material: r.piece.material,
                    machine: r.piece.machine,
                    chain: r.piece.chain,
                    ...r.typed,
                  }}
                  members={members}
                  lines={lines}
                  side={units.side}
                />
              ),
            },
          },
        }))}
      />
      {mine && (
        <div className="no-print mt-3">
          <PieceForm buildId={b.id} defaults={blankPiece} members={members} lines={lines} side={units.side} />
        </div>
      )}
      {view.chains.length > 0 && (
        <div className="mt-5 grid max-w-[860px] gap-3">
          {view.chains.map((c) => (
            <Sheet key={c.name} title={`In line: ${c.name}`}>
              <p>
                It should be {c.nominal} {units.side} and is {c.length} {units.side}, off by{" "}
                <Figure working={c.working} unit={units.side}>
                  {c.deviation}
                </Figure>
                . Its tolerances make ± {c.likely} {units.side} likely, ± {c.worst} {units.side} at worst.
              </p>
              <p className="mt-1 font-[600]">{c.says}</p>
            </Sheet>
          ))}
        </div>
      )}
      {found.length > 0 && (
        <Fold label={`Settings found earlier (${found.length})`} className="mt-5" labelClass="text-soft">
          <p className="my-1.5 max-w-[760px] text-sm text-soft">
            With what pieces were cut in this project and the editions before it: a record, not advice. Material and
            lens differ; cut a trial first.
          </p>
          <DataTable
            caption="Settings found earlier"
            columns={[
              { key: "machine", text: "Machine" },
              { key: "material", text: "Sheet or stock" },
              { key: "settings", text: "Settings" },
              { key: "of", text: "Of" },
              { key: "by", text: "Cut by" },
            ]}
            rows={found.map((f) => ({
              id: f.id,
              cells: {
                machine: { value: f.machine },
                material: { value: f.material },
                settings: { value: writeLines(f.settings).replaceAll("\n", ", ") },
                of: { value: `${f.build}, ${f.piece}` },
                by: { value: `${f.by}, ${shortDate(f.at.slice(0, 10))}` },
              },
            }))}
          />
        </Fold>
      )}
    </>
  );
}
