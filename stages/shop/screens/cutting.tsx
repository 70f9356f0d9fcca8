import { isId } from "@/platform/db/id";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { piecesOf } from "@/stages/builds/queries/pieces";
import { teamsOf } from "@/stages/teams/queries/teams";
import Link from "@/ui/link";
import { Caution, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { cutActs } from "../acts";
import { NewCutList } from "../parts/cut-form";
import { ShopTabs } from "../parts/shop-tabs";
import { cutListsOf, stockOf } from "../queries/stock";
import { piecesAsLines, stockAsLines } from "../view/cut-lines";

/** Plans what is cut from which sheet or bar; kept lists beside. */
export async function CuttingScreen({ slug, build }: { slug: string; build?: string }) {
  const page = await projectPage(slug);
  const { frame, staff, ownTeam } = page;
  const p = frame.project;
  const [lists, stock, teams, pieces] = await Promise.all([
    cutListsOf(p.id, staff ? null : ownTeam),
    stockOf(p.id),
    teamsOf(p.id),
    build && isId(build) ? piecesOf(build) : Promise.resolve([]),
  ]);
  const may = staff ? page.may(cutActs.edit) : ownTeam !== null && page.may(cutActs.edit, { team: ownTeam });
  const lines = piecesAsLines(pieces, frame.units.side);
  return (
    <>
      <PageHead title="Cutting" note="How pieces lie on sheets and bars, so that little is left over.">
        <PrintButton />
      </PageHead>
      <ShopTabs slug={slug} />
      {lists.length > 0 && (
        <nav aria-label="Kept lists" className="no-print mb-4 flex flex-wrap gap-x-5 gap-y-1">
          {lists.map((l) => (
            <span key={l.id}>
              <Link href={`/p/${slug}/shop/cutting/${l.id}`}>{l.title}</Link>{" "}
              <span className="text-sm text-soft">
                {l.team ?? "the class"}, {shortDate(l.madeAt.slice(0, 10))}
              </span>
            </span>
          ))}
        </nav>
      )}
      <div className="no-print mb-4 max-w-[860px]">
        <Caution>
          Measure the sheet before you trust its label. A saw, knife or laser is used by whoever is trained and signed
          for it, with eyes protected and somebody within call; the school's rules come first.
        </Caution>
      </div>
      {may && !p.finishedAt ? (
        <NewCutList
          projectId={p.id}
          unit={frame.units.side}
          stock={stockAsLines(stock)}
          teams={staff ? teams.map((t) => ({ value: t.id, label: t.name })) : undefined}
          own={staff ? undefined : (ownTeam ?? undefined)}
          begun={lines ? { kind: "bars", pieces: lines, title: "Pieces of the build" } : {}}
          goTo={`/p/${slug}/shop/cutting/:id`}
        />
      ) : (
        <p className="text-soft">Lists are kept by teams and their instructors while the project runs.</p>
      )}
    </>
  );
}
