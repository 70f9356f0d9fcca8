import type { Chapter } from "../schema-story";
import { paragraphsOf, type StoryPoints } from "../view/story";
import { asPicture, storyFigure } from "../view/story-page";

/** A story as it is read and printed. */
export const StoryBody = ({
  chapters,
  points,
  captions,
}: {
  chapters: readonly Chapter[];
  points: StoryPoints | null;
  captions: ReadonlyMap<string, string>;
}) => (
  <article className="grid max-w-[760px] gap-6">
    {chapters.map((c) => (
      <section key={c.key}>
        <h2 className="mb-1.5 break-after-avoid">{c.heading}</h2>
        {paragraphsOf(c.text).map((p) => (
          <p key={p} className="mb-2 whitespace-pre-line">
            {p}
          </p>
        ))}
        <div className="flex flex-wrap gap-4">
          {c.pictures.map((id) => (
            <figure key={id} className="break-inside-avoid">
              <img
                src={`/api/file/${id}`}
                alt={captions.get(id) || c.heading}
                className="max-h-72 max-w-full rounded-sm"
              />
              <figcaption className="text-sm text-soft">{captions.get(id)}</figcaption>
            </figure>
          ))}
        </div>
        {c.figure && points && (
          <figure className="break-inside-avoid">
            <img
              src={asPicture(storyFigure(points))}
              alt={`${points.title}: ${points.points.map((p) => `${p.name} ${p.shown}`).join(", ")} ${points.unit}`}
              className="max-w-full"
            />
          </figure>
        )}
      </section>
    ))}
  </article>
);
