import "server-only";
import { readContent } from "@/platform/files/files";
import { storiesOf, teamPictures } from "./queries/story";
import { storyFacts } from "./queries/story-facts";
import { storyHtml } from "./view/story-page";

/** A team's story as one HTML page with its pictures in it, for who may read it; null where there is none. */
export async function storyFile(
  project: { id: string; title: string },
  teamId: string,
  mayRead: (story: { shared: boolean }) => boolean,
): Promise<string | null> {
  const [[story], facts, pictures] = await Promise.all([
    storiesOf(project.id, teamId),
    storyFacts(project.id, teamId),
    teamPictures(teamId),
  ]);
  if (!story || !mayRead({ shared: story.sharedAt !== null })) return null;
  const used = new Set(story.chapters.flatMap((c) => c.pictures));
  const inside = await Promise.all(
    pictures
      .filter((x) => used.has(x.id))
      .map(async (x) => {
        const file = await readContent(x.hash);
        const src = file ? `data:${file.mime};base64,${file.content.toString("base64")}` : "";
        return [x.id as string, { src, caption: x.caption }] as const;
      }),
  );
  return storyHtml({
    title: story.title,
    team: story.team,
    project: project.title,
    chapters: story.chapters,
    points: facts.points,
    pictures: new Map(inside.filter(([, x]) => x.src)),
  });
}
