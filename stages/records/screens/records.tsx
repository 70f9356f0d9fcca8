import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { buildsOf } from "@/stages/builds/queries/builds";
import { eventsOf } from "@/stages/contest/queries/events";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { Archive, DeleteProject, FinishButton, ReopenForm } from "../parts/buttons";
import { EditionForm } from "../parts/edition-form";
import { RecordsBoard } from "../parts/records-board";
import { RecordsTabs } from "../parts/records-tabs";
import { buildBests, toldOfBuilds } from "../queries/board";
import { editionsBefore, laterEditions } from "../queries/records";
import { unfinishedOf } from "../queries/unfinished";
import { recordLines } from "../view/board";
import { firstPlaces, measuresOf, recordedLines } from "../view/records";
import { openEnds } from "../view/unfinished";

/** Records: the best of this edition and of those before it, the final standings, and the next edition. */
export async function RecordsScreen({ slug }: { slug: string }) {
  const { frame, staff, may, actor } = await projectPage(slug);
  const p = frame.project;
  const [protocols, events, builds, before, later] = await Promise.all([
    protocolsOf(p.id),
    eventsOf(p.id),
    buildsOf(p.id),
    editionsBefore(p.id),
    laterEditions(p.id),
  ]);
  const editions = [{ id: p.id, title: p.title, slug: p.slug, endsOn: p.endsOn }, ...before];
  const lines = recordedLines(protocols);
  const reached = await buildBests(
    editions.map((e) => e.id),
    measuresOf(lines),
  );
  const ends = may(projectActs.finish) && !p.finishedAt ? openEnds(await unfinishedOf(p.id, frame.today)) : [];
  const board = recordLines(lines, reached, editions, frame.today);
  const told = await toldOfBuilds([...new Set(board.map((l) => l.holder.buildId))]);
  const winners = firstPlaces(events, builds);
  return (
    <>
      <PageHead
        title="Records"
        note={
          p.finishedAt
            ? `Finished on ${fullDate(p.finishedAt)}`
            : "What the next class starts from. It is complete when the project is finished."
        }
      >
        {before.length > 0 && !p.finishedAt && (
          <LinkButton href={`/p/${slug}/records/start`}>Start from an earlier build</LinkButton>
        )}
        {may(projectActs.finish) &&
          (p.finishedAt ? <ReopenForm projectId={p.id} /> : <FinishButton projectId={p.id} />)}
      </PageHead>
      <RecordsTabs slug={slug} />
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_340px]">
        <div className="grid min-w-0 gap-6 [&>*]:min-w-0">
          {board.length === 0 ? (
            <Empty title="Nothing is on record yet">
              The best comparable run of each measure stands here, this year's and those of earlier editions.
            </Empty>
          ) : (
            <section>
              <h2 className="mb-1.5">Records board</h2>
              <RecordsBoard
                lines={board}
                told={told}
                opens={(id) => actor.projects[id] !== undefined}
                dated={fullDate}
              />
            </section>
          )}
          {winners.length > 0 && (
            <section>
              <h2 className="mb-1.5">First places</h2>
              <ul>
                {winners.map(({ event, standing: s, build }) => (
                  <li key={event.id + s.id} className="border-b border-line py-1.5">
                    <span className="font-[650]">{s.name}</span>{" "}
                    <span className="text-soft">
                      {event.name}
                      {event.state !== "confirmed" && ", not confirmed yet"}:
                    </span>{" "}
                    <Figure working={s.working} unit={event.definition.unit}>
                      {s.shown}
                    </Figure>
                    {build && build.features.length > 0 && (
                      <span className="block text-sm text-soft">
                        {build.team} G{build.number}: {build.features.join(", ")}
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {builds.some((b) => b.learned) && (
            <section>
              <h2 className="mb-1.5">What the builds taught</h2>
              <ul>
                {builds
                  .filter((b) => b.learned)
                  .map((b) => (
                    <li key={b.id} className="border-b border-line py-1">
                      <Link href={`/p/${slug}/builds/${b.id}`} className="font-[600] hover:text-iron">
                        {b.team} G{b.number}
                      </Link>{" "}
                      <span>{b.learned}</span>
                    </li>
                  ))}
              </ul>
            </section>
          )}
        </div>
        <div className="grid gap-4">
          {ends.length > 0 && (
            <Sheet title="Not done yet">
              <p className="mb-1 text-soft">
                Finish the project when these are, or as they are: it takes no changes then.
              </p>
              <ul>
                {ends.map((e) => (
                  <li key={e.what} className="border-t border-line py-1">
                    <Link href={`/p/${slug}${e.path}`} className="hover:text-iron">
                      {e.what}
                    </Link>
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          {later.length > 0 && (
            <Sheet title="Later editions">
              <ul>
                {later.map((l) => (
                  <li key={l.id}>
                    {actor.projects[l.id] ? (
                      <Link href={`/p/${l.slug}`} className="hover:text-iron">
                        {l.title}
                      </Link>
                    ) : (
                      l.title
                    )}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          {may(projectActs.finish) && p.finishedAt && (
            <Sheet title="Next edition">
              <p className="mb-2 text-soft">
                What is ticked is carried over; teams, builds and results stay here. This edition's best becomes the
                benchmark line.
              </p>
              <EditionForm projectId={p.id} title={p.title} />
            </Sheet>
          )}
          {staff && (
            <Sheet title="Keep it">
              <p className="mb-2 text-soft">
                The whole project as one open file, from which it can be imported again, here or elsewhere.
              </p>
              <div className="flex flex-wrap gap-2">
                <LinkButton href={`/p/${slug}/bundle`} download>
                  Export the project
                </LinkButton>
                <LinkButton href={`/p/${slug}/records/booklet`}>Booklets to print</LinkButton>
              </div>
              <div className="mt-4 border-t border-line pt-3">
                <p className="mb-2 text-soft">
                  For another school: rules, builds, runs, results and guides, without notebooks, marks or any student's
                  name. Names are taken out of texts too, and words that are also names with them: read it before you
                  hand it on.
                </p>
                <div className="flex flex-wrap gap-2">
                  <LinkButton href={`/p/${slug}/bundle?for=school`} download>
                    Without names
                  </LinkButton>
                  <LinkButton href={`/p/${slug}/bundle?for=school&pictures=yes`} download>
                    With pictures of builds
                  </LinkButton>
                </div>
                <p className="mt-1 text-sm text-soft">A picture may show a face: look through them first.</p>
              </div>
              {may(projectActs.finish) && (
                <div className="mt-4 border-t border-line pt-3">
                  <p className="mb-2 text-soft">
                    {p.archivedAt
                      ? "It is in the archive: off the list, and as it was."
                      : "An archived project is off the list, and nothing of it changes."}{" "}
                    It can be deleted once it was exported as it is now.
                  </p>
                  <div className="grid justify-items-start gap-2">
                    <Archive projectId={p.id} away={p.archivedAt !== null} />
                    <DeleteProject projectId={p.id} title={p.title} />
                  </div>
                </div>
              )}
            </Sheet>
          )}
        </div>
      </div>
    </>
  );
}
