import * as yup from "yup";
import * as c from "@/platform/schema/fields";

/** A password that a person chooses. */
export const newPassword = () =>
  yup.string().required().min(10, "At least 10 characters; a short sentence is good.").max(200);

export const firstInstructor = yup.object({ name: c.text(120), email: c.text(200).email(), password: newPassword() });
