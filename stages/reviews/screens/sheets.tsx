import { notFound } from "next/navigation";
import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { reviewActs } from "../acts";
import { SheetsGrid } from "../parts/sheets-grid";
import { reviewsOf } from "../queries/reviews";
import { sheetsGrid } from "../view/sheets-grid";

/** An instructor's sheets of one review for all teams, in one grid. */
export async function SheetsScreen({ slug, title }: { slug: string; title: string }) {
  const { frame, actor } = await projectPage(slug, reviewActs.mark);
  const reviews = await reviewsOf(frame.project.id);
  const first = reviews.find((r) => r.title === title);
  if (!first) notFound();
  const { rows, criteria, apart } = sheetsGrid(reviews, title, actor.id);
  return (
    <>
      <PageHead
        title={
          <>
            {title} <span className="text-soft">my sheets</span>
          </>
        }
        note={`${fullDate(first.heldOn)} · type a level's digit: it goes on by itself, and a whole row is handed in`}
      >
        <LinkButton href={`/p/${slug}/reviews`}>Reviews</LinkButton>
      </PageHead>
      {rows.length === 0 ? (
        <Empty title="Every team has its verdict">
          Sheets are closed. A verdict can be taken back on the team's review.
        </Empty>
      ) : (
        <SheetsGrid rows={rows} criteria={criteria} rater={actor.name} raterId={actor.id} />
      )}
      {apart.length > 0 && (
        <p className="mt-3 text-soft">
          Under another version of the rubric, so on their own pages: {apart.join(", ")}.
        </p>
      )}
    </>
  );
}
