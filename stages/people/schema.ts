import * as yup from "yup";
import { guestRole } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";

export const rosterText = yup.object({
  projectId: c.id(),
  text: yup.string().max(5_000_000).default(""),
  base64: yup.string().max(8_000_000).default(""),
});

export const rosterRows = yup.object({
  projectId: c.id(),
  rows: yup
    .array(
      yup.object({
        name: c.text(120),
        section: c.text(60),
        email: yup.string().trim().email().nullable().default(null),
      }),
    )
    .min(1, "There is nobody to import.")
    .max(2000)
    .required(),
});

export const student = yup.object({ projectId: c.id(), personId: c.id() });

export const login = student.shape({ email: c.text(200).email() });

export const erase = student.shape({ confirm: c.text() });

export const coInstructor = yup.object({ projectId: c.id(), name: c.text(120), email: c.text(200).email() });

export const guestLink = yup.object({
  projectId: c.id(),
  role: c.oneOf(guestRole).required(),
  label: c.text(120),
  days: yup.number().integer().min(1).max(366).required(),
});

export const guestLinkId = yup.object({ id: c.id() });
