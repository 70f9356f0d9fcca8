import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { notebookActs } from "./acts";
import { ofCountersign } from "./countersigned";
import { ofPicture } from "./pictures";
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

/** A picture goes out of an entry, with its marks. */
export const removeEntryPicture = withdrawal({
  name: "removeEntryPicture",
  kind: "picture of the notebook",
  table: "file_use",
  act: notebookActs.write,
  subject: ofPicture,
  label: "CASE x.caption WHEN '' THEN 'picture' ELSE left(x.caption, 80) END",
});

/** A student no longer shows an entry to somebody; a signature goes with it. */
export const withdrawCountersign = withdrawal({
  name: "withdrawCountersign",
  kind: "countersignature",
  table: "notebook_countersign",
  act: notebookActs.write,
  subject: ofCountersign,
  label: "(SELECT 'of ' || on_date FROM notebook_entry WHERE id = x.entry_id)",
});
