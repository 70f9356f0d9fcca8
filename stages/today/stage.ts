import "server-only";
import type { Stage } from "@/platform/registry/stage";
import * as aside from "./commands/aside";
import * as classes from "./commands/classes";
import { flagsWaiting } from "./queries/flags";
import * as withdrawals from "./withdrawals";

/** The class of a day, and what waits and is next: Today itself stands above the projects. */
export const today: Stage = {
  key: "class",
  name: "Class",
  pages: [
    { label: "Class of today", path: "/class", for: "staff" },
    { label: "Attendance", path: "/class/attendance", for: "staff" },
    { label: "Teams to look at", path: "/attention", for: "staff" },
  ],
  shows: ["class", "attention", "build", "run", "notebook", "booking", "milestone", "review", "action", "plan"],
  commands: [aside, classes, withdrawals],
  below: "staff",
  waiting: flagsWaiting,
};
