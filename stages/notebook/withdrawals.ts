import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { notebookActs } from "./acts";
import { ofEntry } from "./queries";

/** A remark is taken back from an entry. */
export const withdrawRemark = withdrawal({
  name: "withdrawRemark",
  kind: "remark",
  table: "notebook_remark",
  act: notebookActs.mark,
  label: "left(x.text, 80)",
});

/** A student takes an own entry out of the notebook; it stays where it can be brought back from. */
export const withdrawEntryOfNotebook = withdrawal({
  name: "withdrawEntryOfNotebook",
  kind: "notebook entry",
  table: "notebook_entry",
  act: notebookActs.write,
  subject: ofEntry,
  label: "'of ' || x.on_date",
  needsReason: true,
});
