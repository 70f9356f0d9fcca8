import { notFound } from "next/navigation";
import { isId } from "@/platform/db/id";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { withdrawCutListAction } from "../actions";
import { cutActs } from "../acts";
import { EditCutList } from "../parts/cut-form";
import { CutPlanner } from "../parts/cut-planner";
import { cutListsOf, stockOf } from "../queries/stock";
import { stockAsLines } from "../view/cut-lines";

/** A list of pieces that was kept, with its plan. */
export async function CutListScreen({ slug, id }: { slug: string; id: string }) {
  const page = await projectPage(slug);
  const { frame, staff, ownTeam } = page;
  const p = frame.project;
  const list = isId(id) ? (await cutListsOf(p.id, staff ? null : ownTeam)).find((l) => l.id === id) : undefined;
  if (!list) notFound();
  const may = page.may(cutActs.edit, { team: list.teamId }) && !p.finishedAt;
  const { title, kind, way, kerf, border, blanks, pieces } = list;
  return (
    <>
      <PageHead
        title={title}
        note={`Cut list of ${list.team ?? "the class"}, ${list.madeBy}, ${shortDate(list.madeAt.slice(0, 10))}`}
      >
        {may && (
          <WithdrawButton action={withdrawCutListAction} id={id} goTo={`/p/${slug}/shop/cutting`}>
            Withdraw
          </WithdrawButton>
        )}
        <PrintButton />
        <LinkButton href={`/p/${slug}/shop/cutting`}>All lists</LinkButton>
      </PageHead>
      {may ? (
        <EditCutList
          id={id}
          version={list.version}
          unit={list.unit}
          stock={stockAsLines(await stockOf(p.id))}
          typed={{ title, kind, way, kerf, border, blanks, pieces }}
        />
      ) : (
        <CutPlanner typed={{ kind, way, kerf, border, blanks, pieces }} unit={list.unit} />
      )}
    </>
  );
}
