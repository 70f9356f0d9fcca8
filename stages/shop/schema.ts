import * as yup from "yup";
import { settingOutcome } from "@/core/vocabulary/shop";
import * as c from "@/platform/schema/fields";

export const tool = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  caution: c.optionalText(400),
});

export const toolSign = yup.object({ toolId: c.id(), personId: c.id(), on: yup.boolean().required() });

const tried = {
  machine: c.text(80),
  material: c.text(80),
  thickness: c.quantity("mm"),
  settings: c.text(300),
  outcome: c.oneOf(settingOutcome).required(),
  seen: c.optionalText(300),
};

/** What was tried at a machine; its id is made where it is pressed: pressed twice it is one. */
export const machineSetting = yup.object({ id: c.id(), projectId: c.id(), ...tried });

export const editSetting = yup.object({ id: c.id(), version: c.version(), ...tried });
