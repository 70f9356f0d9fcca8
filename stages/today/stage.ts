import "server-only";
import type { Stage } from "@/platform/registry/stage";
import { flagsWaiting } from "./queries";

/** What waits and what is next; its page stands above the projects. */
export const today: Stage = { key: "today", name: "Today", pages: [], shows: [], commands: [], waiting: flagsWaiting };
