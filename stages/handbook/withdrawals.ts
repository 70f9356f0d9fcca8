import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { handbookActs } from "./acts";
import { ofUse } from "./commands/uses";

/** A calculation is taken away from what it was attached to. */
export const withdrawUse = withdrawal({
  name: "withdrawUse",
  kind: "calculation",
  table: "handbook_use",
  act: handbookActs.attach,
  subject: ofUse,
  label: "x.calculator || ' ' || to_char(x.made_at, 'YYYY-MM-DD')",
});
