import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { attentionActs } from "./acts";

/** A flag comes back to those that want a look. */
export const withdrawAside = withdrawal({
  name: "withdrawAside",
  kind: "flag put aside",
  table: "flag_aside",
  act: attentionActs.aside,
  label: "(SELECT name FROM team WHERE id = x.team_id) || ': ' || x.reason",
});
