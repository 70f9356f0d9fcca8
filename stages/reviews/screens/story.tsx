import { notFound } from "next/navigation";
import { isId } from "@/platform/db/id";
import { instant, longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { entriesOf } from "@/stages/notebook/queries";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { reviewActs } from "../acts";
import { ShareStory, WithdrawStory } from "../parts/buttons";
import { StoryBody } from "../parts/story-body";
import { StoryForm } from "../parts/story-form";
import { storiesOf, teamPictures } from "../queries/story";
import { storyFacts } from "../queries/story-facts";

/** A team's story: read, or edited by the team. */
export async function StoryScreen({ slug, team: id, edits }: { slug: string; team: string; edits?: boolean }) {
  const { frame, staff, may, actor } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  if (!isId(id)) notFound();
  const [[story], facts, pictures] = await Promise.all([storiesOf(p.id, id), storyFacts(p.id, id), teamPictures(id)]);
  const { team } = facts;
  if (!team) notFound();
  const tells = may(reviewActs.tell, { team: team.id });
  if (!tells && !story?.sharedAt) notFound();
  const read = `/p/${slug}/reviews/stories/${team.id}`;
  if (edits) {
    if (!tells) notFound();
    const [drafts, entries] = await Promise.all([facts.drafts(), staff ? [] : entriesOf(p.id, { personId: actor.id })]);
    const notes = entries.slice(0, 12);
    return (
      <>
        <PageHead
          title={
            <>
              {team.name} <span className="text-soft">the story</span>
            </>
          }
          note={
            story
              ? `Written by ${story.writtenBy}, ${instant(story.writtenAt)}`
              : "Made from the record: what was tried, what was seen, what was changed. Make it yours."
          }
        />
        <StoryForm
          projectId={p.id}
          teamId={team.id}
          version={story?.version ?? 0}
          defaults={{
            title: story?.title ?? `${team.name}: how our design came about`,
            chapters: story?.chapters ?? drafts.map((d, i, all) => ({ ...d, figure: i === all.length - 1 })),
          }}
          drafts={drafts}
          pictures={pictures.map((x) => ({ value: x.id, label: `G${x.build} ${x.caption}`.trim() }))}
          notes={notes.map((n) => ({ value: n.versions.at(-1)!.text, label: longDate(n.onDate) }))}
          back={read}
        />
      </>
    );
  }
  return (
    <>
      <PageHead
        title={story?.title ?? team.name}
        note={
          story ? `${team.name} · ${story.sharedAt ? "the class reads it" : "not shown to the class yet"}` : undefined
        }
      >
        <LinkButton href={`/p/${slug}/reviews/stories`}>All stories</LinkButton>
        {tells && (
          <LinkButton href={`${read}/edit`} look={story ? "plain" : "main"}>
            {story ? "Edit" : "Begin the story"}
          </LinkButton>
        )}
        {story && <LinkButton href={`${read}/html`}>HTML</LinkButton>}
        {story && <PrintButton />}
        {story && tells && <ShareStory id={story.id} version={story.version} shared={story.sharedAt !== null} />}
        {story && tells && <WithdrawStory id={story.id} />}
      </PageHead>
      {story ? (
        <StoryBody
          chapters={story.chapters}
          points={facts.points}
          captions={new Map(pictures.map((x) => [x.id as string, x.caption]))}
        />
      ) : (
        <Empty title="No story yet">
          It begins with a chapter for each build, made from what is on record; the team puts it into its own words.
        </Empty>
      )}
    </>
  );
}
