import { redirect } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { Fold } from "@/ui/fold";
import { Caution, PageHead } from "@/ui/page";
import { contestActs } from "../acts";
import { AllowedParts } from "../parts/allowed-parts";
import { DayBox } from "../parts/day-box";
import { EventNav } from "../parts/event-nav";
import { InspectionPanel } from "../parts/inspection-panel";
import { allowedOf, enteredOf, linesOf } from "../queries/inspections";
import { eventNames } from "../queries/matches";
import { chosenBuild } from "../view/inspection-list";

/** The inspection before a contest: every build that enters, once for all events. */
export async function InspectionScreen({ slug, build }: { slug: string; build?: string }) {
  const { frame, may } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const [builds, names, allowed] = await Promise.all([enteredOf(p.id), eventNames(p.id), allowedOf(p.id)]);
  const chosen = chosenBuild(builds, build);
  // What is looked at stays in view when it has passed.
  if (chosen && build !== chosen.buildId) redirect(`/p/${slug}/contest/inspection?build=${chosen.buildId}`);
  const open = may(contestActs.inspect) && !p.finishedAt;
  const lines = chosen && open ? await linesOf(p.id, chosen.buildId) : [];
  const waiting = builds.filter((b) => b.state === "waiting").length;
  const base = `/p/${slug}/contest`;
  return (
    <>
      <PageHead
        title="Inspection"
        note={
          builds.length > 0 &&
          `${builds.length - waiting} of ${builds.length} inspected · once for all events that a build enters`
        }
      >
        <EventNav slug={slug} events={names} chosen="inspection" staff={may(contestActs.edit) && !p.finishedAt} />
      </PageHead>
      {open && chosen && (
        <div className="mb-4">
          <Caution>
            Look at it switched off, emptied and with nothing under tension. Sharp edges, pinch points and frayed leads
            are turned away. The school&apos;s rules come first; ask the shop&apos;s responsible person where in doubt.
          </Caution>
        </div>
      )}
      <DayBox>
        <InspectionPanel
          builds={builds}
          chosen={chosen}
          lines={lines}
          hrefOf={(id) => `${base}/inspection?build=${id}`}
          open={open}
          staff={may(contestActs.edit)}
        />
      </DayBox>
      {may(contestActs.edit) && !p.finishedAt && (
        <Fold
          className="mt-6"
          label={`Allowed parts by count (${allowed.length || "none"})`}
          labelClass="font-[650]"
          start={false}
        >
          <AllowedParts projectId={p.id} parts={allowed} />
        </Fold>
      )}
    </>
  );
}
