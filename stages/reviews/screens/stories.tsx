import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { reviewActs } from "../acts";
import { storiesOf } from "../queries/story";
import { paragraphsOf } from "../view/story";

/** The stories of all teams as a gallery: each with its picture and how it begins. */
export async function StoriesScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [stories, teams] = await Promise.all([storiesOf(p.id), teamsOf(p.id)]);
  const shown = teams.flatMap((team) => {
    const story = stories.find((s) => s.teamId === team.id);
    return story?.sharedAt || may(reviewActs.tell, { team: team.id }) ? [{ team, story }] : [];
  });
  const begun = shown.flatMap(({ team, story }) => (story ? [{ team, story }] : []));
  const open = shown.filter(({ story }) => !story);
  return (
    <>
      <PageHead
        title="Stories"
        note="Beside each design the account of its reasons, by the team that made it. Nobody edits another's."
      />
      {shown.length === 0 && <Empty title="No story is shown yet">Each team shows its own when it is ready.</Empty>}
      <ul className="grid gap-x-8 gap-y-6 md:grid-cols-2">
        {begun.map(({ team, story }) => {
          const picture = story.chapters.flatMap((c) => c.pictures).at(-1);
          return (
            <li key={team.id} className="grid content-start gap-1.5 border-t border-line pt-3">
              <h2>
                <Link href={`/p/${slug}/reviews/stories/${team.id}`} className="hover:text-iron">
                  {story.title}
                </Link>
              </h2>
              <p className="text-sm text-soft">
                {team.name} · {story.chapters.length} {story.chapters.length === 1 ? "chapter" : "chapters"}
                {!story.sharedAt && " · not shown to the class yet"}
              </p>
              {picture && (
                <img src={`/api/file/${picture}`} alt={`${team.name}'s design`} className="max-h-52 rounded-sm" />
              )}
              <p className="line-clamp-3">{paragraphsOf(story.chapters[0]?.text ?? "")[0]}</p>
            </li>
          );
        })}
      </ul>
      {open.length > 0 && (
        <p className="mt-6">
          <span className="text-soft">Not begun:</span>{" "}
          {open.map(({ team }, i) => (
            <span key={team.id}>
              {i > 0 && ", "}
              <Link href={`/p/${slug}/reviews/stories/${team.id}`} className="underline underline-offset-3">
                {team.name}
              </Link>
            </span>
          ))}
        </p>
      )}
    </>
  );
}
