import * as yup from "yup";
import * as c from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";

/** A model that is kept, new or corrected: of which build, and where it stands. */
export const artefact = yup.object({
  projectId: c.id(),
  id: c.id(),
  version: yup.number().integer().default(0),
  buildId: c.optionalId(),
  name: c.text(120),
  place: c.optionalText(120),
  note: c.optionalText(400),
});

/** Lent until a day; who has it is written, not chosen: it may be another school. */
export const lendArtefact = yup.object({
  id: c.id(),
  artefactId: c.id(),
  lentTo: c.text(120),
  dueOn: c.optionalDate(),
});

export const returnArtefact = yup.object({ id: c.id(), version: c.version(), back: yup.boolean().required() });

/** Taken apart or thrown away, with the reason; without one it is there again. */
export const scrapArtefact = yup.object({ id: c.id(), version: c.version(), why: c.optionalText(300) });

/** The awards that the contest gives, written down as they are given. */
export const giveHonours = yup.object({ projectId: c.id() });

/** An award of the class's own, or one that is corrected. */
export const honour = yup.object({
  projectId: c.id(),
  id: c.id(),
  version: yup.number().integer().default(0),
  teamId: c.id(),
  title: c.text(120),
  says: c.optionalText(200),
  engraved: c.text(120),
  givenOn: c.date(),
});

/** How a build is made again. */
export const guide = yup.object({
  id: c.id(),
  buildId: c.id(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  intro: c.optionalText(1000),
  datum: c.optionalText(200),
  cautions: c.optionalText(1000),
  /** A step for every part of the parts list, to begin with. */
  draft: yup.boolean().default(false),
});

export const guideStep = yup.object({
  id: c.id(),
  guideId: c.id(),
  version: yup.number().integer().default(0),
  what: c.text(600),
  partId: c.optionalId(),
  count: c.whole(1, 9999).default(1),
  at: q.sides(),
  caution: c.optionalText(300),
  photoId: c.optionalId(),
});

export const moveStep = yup.object({ id: c.id(), up: yup.boolean().required() });
