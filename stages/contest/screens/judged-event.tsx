import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { PageHead } from "@/ui/page";
import { contestActs } from "../acts";
import { EventKinds } from "../parts/event-kinds";
import { JudgedEventForm } from "../parts/judged-event-form";
import { judgedEventsOf } from "../queries/judged";
import { safetyOfEvent } from "../queries/safety";
import { typedJudged } from "../view/typed-events";

/** An event that judges mark, new or its rules changed before the first sheet. */
export async function JudgedEventScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const p = frame.project;
  const [e] = id ? await judgedEventsOf(p.id, undefined, id) : [];
  if (id && !e) notFound();
  const r = e?.rules;
  const safety = e && (await safetyOfEvent(e.id));
  return (
    <>
      <PageHead
        title={e ? e.name : "New judged event"}
        note="Several judges mark every team on sheets. The rules are fixed once the first sheet is in."
      >
        {!e && <EventKinds slug={slug} chosen="judged/edit" />}
      </PageHead>
      <JudgedEventForm
        projectId={p.id}
        slug={slug}
        id={e?.id}
        version={e?.version ?? 0}
        defaults={{
          name: e?.name ?? "",
          ...typedJudged(
            r ?? {
              criteria: [
                { key: "", name: "Fitness for the need", weight: "3" },
                { key: "", name: "Workmanship", weight: "2" },
              ],
              most: 5,
              method: "mean",
              tie: "shared",
              full: "100",
              placePoints: [],
            },
          ),
          cautions: safety?.cautions.join("\n") ?? "",
          officer: safety?.officer ?? "",
        }}
      />
    </>
  );
}
