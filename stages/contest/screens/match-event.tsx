import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { PageHead } from "@/ui/page";
import { contestActs } from "../acts";
import { EventKinds } from "../parts/event-kinds";
import { MatchEventForm } from "../parts/match-event-form";
import { matchEventsOf } from "../queries/matches";
import { safetyOfEvent } from "../queries/safety";
import { usualCautions } from "../view/safety";
import { typedMatches } from "../view/typed-events";

/** An event in which two meet at a time, new or its rules changed before the first match. */
export async function MatchEventScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const p = frame.project;
  const [e] = id ? await matchEventsOf(p.id, undefined, id) : [];
  if (id && !e) notFound();
  const r = e?.rules;
  const safety = e && (await safetyOfEvent(e.id));
  return (
    <>
      <PageHead
        title={e ? e.name : "New event of matches"}
        note="Two meet at a time, and somebody wins. The rules are fixed once the first match is recorded."
      >
        {!e && <EventKinds slug={slug} chosen="matches/edit" />}
      </PageHead>
      <MatchEventForm
        projectId={p.id}
        slug={slug}
        id={e?.id}
        version={e?.version ?? 0}
        defaults={{
          name: e?.name ?? "",
          ...typedMatches(
            r ?? {
              format: "double",
              decides: "first",
              games: 3,
              secondFinal: true,
              third: false,
              rounds: 4,
              points: { win: "2", draw: "1", loss: "0" },
              measured: null,
            },
          ),
          cautions: safety ? safety.cautions.join("\n") : usualCautions,
          officer: safety?.officer ?? "",
        }}
      />
    </>
  );
}
