import "server-only";
import { readContent } from "@/platform/files/files";
import { storiesOf, teamPictures } from "./queries/story";
import { storyFacts } from "./queries/story-facts";
import { storyHtml } from "./view/story-page";

/**
 * A team's story as one HTML page with its pictures in it; null where there is none, or none that is shown to the class
 * and the reader is not of those who tell it.
 */
export async function storyFile(
  project: { id: string; title: string },
  teamId: string,
  tells: boolean,
): Promise<string | null> {
  const [story] = await storiesOf(project.id, teamId);
  if (!story || (!tells && !story.sharedAt)) return null;
  const [facts, pictures] = await Promise.all([storyFacts(project.id, teamId), teamPictures(teamId)]);
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
