import * as yup from "yup";
import * as c from "@/platform/schema/fields";

const share = () => yup.number().min(0).max(1).required();

/** Marks on a picture, in their order: where, as shares of its width and height, and what is to be seen there. */
export const pictureMarks = yup
  .array(yup.object({ x: share(), y: share(), text: c.text(120) }).required())
  .max(20, "At most 20 marks on a picture.")
  .required();
export type PictureMark = yup.InferType<typeof pictureMarks>[number];
