import * as yup from "yup";
import * as c from "@/platform/schema/fields";

export const notebookEntry = yup.object({ id: c.id(), projectId: c.id(), personId: c.id(), text: c.text(8000) });

export const amendEntry = yup.object({ id: c.id(), version: c.version(), text: c.text(8000), reason: c.text(200) });
