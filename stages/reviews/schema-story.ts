import * as yup from "yup";
import * as c from "@/platform/schema/fields";

/** Chapters of a story: each of a build, or the team's own. */
export const storyChapters = yup
  .array(
    yup.object({
      /** The build that it tells of, or “own” with a number. */
      key: c.text(60),
      heading: c.text(160),
      text: c.optionalText(6000),
      /** Pictures of the team's builds. */
      pictures: yup.array(c.id()).max(6).default([]),
      /** Whether the generations are shown as a figure. */
      figure: yup.boolean().default(false),
    }),
  )
  .max(40)
  .required()
  .test("apart", "A chapter stands there twice.", (x) => new Set((x ?? []).map((y) => y.key)).size === x?.length);
export type Chapter = yup.InferType<typeof storyChapters>[number];

export const saveStory = yup.object({
  projectId: c.id(),
  teamId: c.id(),
  /** 0 where there is no story yet. */
  version: yup.number().integer().default(0),
  title: c.text(120),
  chapters: storyChapters.min(1, "A story has at least one chapter."),
});

export const shareStory = yup.object({ id: c.id(), version: c.version(), shared: yup.boolean().required() });

export const addTopics = yup.object({
  projectId: c.id(),
  /** One a line. */
  titles: yup.array(c.text(160)).min(1, "Write at least one topic.").max(40).required(),
});

export const dealTopics = yup.object({ projectId: c.id(), seed: c.text(40) });

export const editTopic = yup.object({ id: c.id(), version: c.version(), title: c.text(160), teamId: c.optionalId() });

export const writeTopic = yup.object({ id: c.id(), version: c.version(), body: c.optionalText(12_000) });
