import * as yup from "yup";
import { guestRole } from "@/core/vocabulary/project";
import * as c from "@/platform/schema/fields";
import { newPassword } from "@/platform/sign-in/schema";

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

const loginName = () =>
  yup
    .string()
    .trim()
    .lowercase()
    .max(40)
    .default("")
    .matches(/^([a-z0-9][a-z0-9.-]*)?$/, "Small letters, digits, points and dashes, for example ada.quill.");

/** A student who is known to no roster yet; of the same name as another where `twin` says that it is somebody else. */
export const newStudent = yup.object({
  projectId: c.id(),
  sectionId: c.id(),
  name: c.text(120),
  email: yup.string().trim().max(200).email().default(""),
  twin: yup.boolean().default(false),
});

export const editStudent = student.shape({
  version: c.version(),
  name: c.text(120),
  email: yup.string().trim().max(200).email().default(""),
  sectionId: c.id(),
});

/** Two records of one student: `personId` stays, `fromId` goes into it. */
export const mergeStudents = student.shape({ fromId: c.id() });

export const login = student.shape({ email: yup.string().trim().max(200).email().default(""), loginName: loginName() });

/** Logins for everybody who has none: of a section, or of all. */
export const sectionLogins = yup.object({ projectId: c.id(), sectionId: c.optionalId() });

/** `keep` is the session that stays: the one it is asked from. */
export const ownPassword = yup.object({
  current: yup.string().required("Write your password now.").max(200),
  password: newPassword(),
  keep: yup.string().max(100).default(""),
});

export const sessions = yup.object({ keep: yup.string().max(100).default(""), one: yup.string().max(100).optional() });

export const erase = student.shape({ confirm: c.text() });

export const coInstructor = yup.object({ projectId: c.id(), name: c.text(120), email: c.text(200).email() });

export const guestLink = yup.object({
  projectId: c.id(),
  role: c.oneOf(guestRole).required(),
  label: c.text(120),
  days: yup.number().integer().min(1).max(366).required(),
});

export const guestLinkId = yup.object({ id: c.id() });

/** Who heads the department, or no longer. */
export const head = yup.object({ personId: c.id(), on: yup.boolean().required() });
