import * as yup from "yup";
import { pictureMarks } from "@/platform/files/schema";
import * as c from "@/platform/schema/fields";

export const notebookEntry = yup.object({ id: c.id(), projectId: c.id(), personId: c.id(), text: c.text(8000) });

export const amendEntry = yup.object({ id: c.id(), version: c.version(), text: c.text(8000), reason: c.text(200) });

/** An entry as it was read: its newest version then; 0 is unread again. */
export const seeEntry = yup.object({ entryId: c.id(), number: c.whole(0, 10_000).required() });

export const remark = yup.object({
  /** Made where it is typed: sent twice it is one. */
  id: c.id(),
  entryId: c.id(),
  text: c.text(2000),
});

export const editRemark = yup.object({ id: c.id(), version: c.version(), text: c.text(2000) });

/** Who is shown an entry, to read and sign it. */
export const askCountersign = yup.object({ id: c.id(), entryId: c.id(), partnerId: c.id() });

/** The version that was read. */
export const countersign = yup.object({ id: c.id(), number: c.whole(1, 10_000).required() });

export const entryPicture = yup.object({ entryId: c.id(), base64: c.picture(), caption: c.optionalText(200) });

export const markPicture = yup.object({ id: c.id(), caption: c.optionalText(200), marks: pictureMarks });

/** One mark, as it is typed. */
export const newMark = yup.object({ text: c.text(120) });
