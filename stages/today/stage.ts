import "server-only";
import type { Stage } from "@/platform/registry/stage";
import * as commands from "./commands";
import { flagsWaiting } from "./queries";
import * as withdrawals from "./withdrawals";

/** What waits and what is next: Today itself stands above the projects. */
export const today: Stage = {
  key: "today",
  name: "Today",
  pages: [{ label: "Teams to look at", path: "/attention", for: "staff" }],
  shows: ["flag"],
  commands: [commands, withdrawals],
  waiting: flagsWaiting,
};
