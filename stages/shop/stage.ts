import "server-only";
import type { Stage } from "@/platform/registry/stage";
import * as commands from "./commands";
import * as settings from "./machine-settings";
import * as withdrawals from "./withdrawals";

/** Tools and who is trained for them, which stand on the gates' page; settings that were tried at machines. */
export const shop: Stage = {
  key: "shop",
  name: "Shop",
  pages: [{ label: "Machine settings", path: "/shop/settings" }],
  shows: ["tool"],
  commands: [commands, settings, withdrawals],
};
