import "server-only";
import { shortDate } from "@/platform/pages/dates";
import type { Stage, Stratum } from "@/platform/registry/stage";
import { plural, share } from "@/platform/registry/words";
import { contestActs } from "./acts";
import * as attempts from "./commands/attempts";
import * as boards from "./commands/boards";
import * as calls from "./commands/calls";
import * as copied from "./commands/copied";
import * as corrections from "./commands/corrections";
import * as events from "./commands/events";
import * as inspections from "./commands/inspections";
import * as judged from "./commands/judged";
import * as matchResults from "./commands/match-results";
import * as matches from "./commands/matches";
import * as overall from "./commands/overall";
import * as programme from "./commands/programme";
import * as rehearsal from "./commands/rehearsal";
import * as runOff from "./commands/run-off";
import * as safety from "./commands/safety";
import * as vote from "./commands/vote";
import { standingsTable } from "./standings-csv";
import * as withdrawals from "./withdrawals";

interface Row {
  events: number;
  confirmed: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    (SELECT count(*)::int FROM event WHERE project_id = ${p}) AS events,
    (SELECT count(*)::int FROM event WHERE project_id = ${p} AND state = 'confirmed') AS confirmed
  `,
  line(row, project) {
    const c = row as unknown as Row;
    if (c.events === 0) return [0, project.eventOn ? `event ${shortDate(project.eventOn)}` : "no event yet"];
    return [share(c.confirmed, c.events), `${c.confirmed} of ${plural(c.events, "event")} confirmed`];
  },
};

export const contest: Stage = {
  key: "contest",
  name: "Contest",
  pages: [{ label: "Contest", path: "/contest" }],
  shows: ["contest", "build"],
  commands: [
    attempts,
    boards,
    calls,
    copied,
    corrections,
    events,
    inspections,
    judged,
    matches,
    matchResults,
    overall,
    programme,
    rehearsal,
    runOff,
    safety,
    vote,
    withdrawals,
  ],
  stratum,
  downloads: { standings: { act: contestActs.read, make: standingsTable } },
};
