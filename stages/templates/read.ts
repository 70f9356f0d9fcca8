import { ValidationError } from "yup";
import { type Template, template } from "./schema";

/** A template as it was sent, or what is wrong with it, with its place in the file. */
export function readTemplate(text: string): { ok: true; template: Template } | { ok: false; message: string } {
  let sent: unknown;
  try {
    sent = JSON.parse(text);
  } catch {
    return { ok: false, message: "This file cannot be read: a template is a JSON file as Ironstone saves it." };
  }
  try {
    // What it is comes first: nobody wants the list of what a photo lacks to be a template.
    for (const first of ["ironstone", "version"] as const) template.pick([first]).validateSync(sent);
    return { ok: true, template: template.validateSync(sent) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    // Counted from 1, as people count: "requirements[2].target" is the third.
    const at = (error.path ?? "").replace(/\[(\d+)\]/g, (_, n) => ` ${Number(n) + 1}`).replaceAll(".", ", ");
    return { ok: false, message: at ? `${at}: ${error.message}` : error.message };
  }
}
