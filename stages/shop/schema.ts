import * as yup from "yup";
import * as c from "@/platform/schema/fields";

export const tool = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  caution: c.optionalText(400),
});

export const toolSign = yup.object({ toolId: c.id(), personId: c.id(), on: yup.boolean().required() });
