import type { Chapter } from "../schema-story";
import { paragraphsOf, type StoryPoints } from "./story";

const safe = (text: string) =>
  text.replace(/[&<>"']/g, (c) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" })[c]!);

/** Generations as a drawing: a bar each with its value, the best one in the accent. */
export function storyFigure({ title, unit, points }: StoryPoints): string {
  const [width, line, left] = [560, 34, 70];
  const most = Math.max(...points.map((p) => p.value), 0) || 1;
  const best = Math.max(...points.map((p) => p.value));
  const bars = points.map((p, i) => {
    const [y, w] = [30 + i * line, Math.max(1, (Math.max(0, p.value) / most) * 360)];
    const colour = p.value === best ? "#9a3b22" : "#b9a282";
    return (
      `<text x="${left - 10}" y="${y + 16}" text-anchor="end">${safe(p.name)}</text>` +
      `<rect x="${left}" y="${y}" width="${w.toFixed(1)}" height="22" fill="${colour}"/>` +
      `<text x="${left + w + 8}" y="${y + 16}">${safe(`${p.shown} ${unit}`.trim())}</text>`
    );
  });
  const height = 30 + points.length * line;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" ` +
    `font-family="Archivo, sans-serif" font-size="14" fill="#231f1b"><text x="0" y="16" font-weight="600">` +
    `${safe(title)}</text>${bars.join("")}</svg>`
  );
}

/** A drawing as the address of a picture. */
export const asPicture = (svg: string): string => `data:image/svg+xml,${encodeURIComponent(svg)}`;

const style =
  "body{font:16px/1.5 Archivo,sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem;color:#231f1b;" +
  "background:#fbf9f5}h1{font-size:1.9rem}h2{font-size:1.25rem;margin-top:2.2rem;break-after:avoid}" +
  "figure{margin:1rem 0;break-inside:avoid}img{max-width:100%;max-height:26rem}figcaption,.by{color:#6b6258;" +
  "font-size:.9rem}";

/** A story as one page that needs nothing else: its pictures and figures are in it. */
export function storyHtml(story: {
  readonly title: string;
  readonly team: string;
  readonly project: string;
  readonly chapters: readonly Chapter[];
  readonly points: StoryPoints | null;
  /** Addresses that hold the pictures themselves, with their captions, by id. */
  readonly pictures: ReadonlyMap<string, { readonly src: string; readonly caption: string }>;
}): string {
  const figure = story.points ? `<figure>${storyFigure(story.points)}</figure>` : "";
  const chapters = story.chapters.map(
    (c) =>
      `<section><h2>${safe(c.heading)}</h2>` +
      paragraphsOf(c.text)
        .map((p) => `<p>${safe(p)}</p>`)
        .join("") +
      c.pictures
        .flatMap((id) => {
          const p = story.pictures.get(id);
          return p
            ? [
                `<figure><img src="${p.src}" alt="${safe(p.caption || c.heading)}">` +
                  `<figcaption>${safe(p.caption)}</figcaption></figure>`,
              ]
            : [];
        })
        .join("") +
      `${c.figure ? figure : ""}</section>`,
  );
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
    `<title>${safe(story.title)}</title><style>${style}</style></head><body><h1>${safe(story.title)}</h1>` +
    `<p class="by">${safe(story.team)}, ${safe(story.project)}</p>${chapters.join("")}</body></html>`
  );
}
