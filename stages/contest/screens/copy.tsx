import { eventFormat } from "@/core/vocabulary/contest";
import { projectPage } from "@/platform/pages/page";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { contestActs } from "../acts";
import { CopyForm } from "../parts/copy-form";
import { EventKinds } from "../parts/event-kinds";
import { toCopy } from "../queries/copied";

/** The events of the edition before, to be copied with their rules. */
export async function CopyScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const events = await toCopy(frame.project.id);
  const free = events.filter((e) => e.hinders === null);
  const kept = events.filter((e) => e.hinders !== null);
  const edition = events[0]?.edition;
  return (
    <>
      <PageHead
        title={edition ? `Events of ${edition}` : "Events of the edition before"}
        note={
          "Rules, cautions, weights and times are copied; entries and results are not. " +
          "Nothing is scored before you have read and ticked the rules of each."
        }
      >
        <EventKinds slug={slug} chosen="copy" />
      </PageHead>
      {free.length > 0 ? (
        <CopyForm
          projectId={frame.project.id}
          slug={slug}
          events={free.map((e) => ({
            value: e.id,
            label: `${e.name} (${eventFormat.labels[e.format].split(":")[0]}${e.protocol ? `, ${e.protocol}` : ""})`,
          }))}
        />
      ) : (
        <Empty
          title={edition ? "Every event is here already" : "There is no edition before"}
          action={<LinkButton href={`/p/${slug}/contest/event`}>Set up an event</LinkButton>}
        >
          {edition
            ? "What can be copied has an event of its name here, or a protocol that is missing."
            : "A project that was made as the next edition of another one takes its events from there."}
        </Empty>
      )}
      {kept.length > 0 && (
        <ul className="mt-4 text-soft">
          {kept.map((e) => (
            <li key={e.id}>
              {e.name}:{" "}
              {e.hinders === "name" ? "an event of this name is here" : `its protocol ${e.protocol} is not here`}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
