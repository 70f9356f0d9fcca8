import "server-only";
import type { Stage } from "@/platform/registry/stage";
import * as commands from "./commands";
import * as withdrawals from "./withdrawals";

/** Tools and who is trained for them; they stand on the gates' page. */
export const shop: Stage = { key: "shop", name: "Shop", pages: [], shows: [], commands: [commands, withdrawals] };
