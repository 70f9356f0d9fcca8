import { projectPage } from "@/platform/pages/page";
import { Empty, PageHead } from "@/ui/page";
import { findingActs } from "../acts";
import { InspectionGrid } from "../parts/inspection-grid";
import { NeedsTabs } from "../parts/needs-tabs";
import { projectState } from "../queries/state";
import { inspectionView } from "../view/inspection";

/** Everything that is looked at, for the newest build of every team, on one page. */
export async function InspectionScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, findingActs.record);
  const p = frame.project;
  const view = inspectionView(await projectState(p.id), p.currency);
  return (
    <>
      <PageHead
        title="Inspection"
        note="What is looked at rather than measured by a run or weighed with the build, for each team's newest build."
      />
      <NeedsTabs slug={slug} staff />
      {view.rows.length === 0 || view.builds.length === 0 ? (
        <Empty title="Nothing to look at">
          {view.builds.length === 0
            ? "No team has a build yet."
            : "Every requirement is decided by a run, or by the mass, cost or size of the build."}
        </Empty>
      ) : (
        <InspectionGrid projectId={p.id} builds={view.builds} rows={view.rows} />
      )}
    </>
  );
}
