import "server-only";
import type { HomePart, Stage, Stratum } from "@/platform/registry/stage";
import { share } from "@/platform/registry/words";
import * as commands from "./commands";
import { briefWaiting } from "./waiting";
import * as withdrawals from "./withdrawals";

interface Row {
  briefs: number;
  readers: number;
  pupils: number;
}

const stratum: Stratum = {
  columns: (sql, p) => sql`
    coalesce((SELECT max(number) FROM brief_version WHERE project_id = ${p}), 0) AS briefs,
    (
      SELECT count(*)::int
      FROM brief_reading
      WHERE brief_version_id = (SELECT id FROM brief_version WHERE project_id = ${p} ORDER BY number DESC LIMIT 1)
    ) AS readers,
    (
      SELECT count(DISTINCT e.person_id)::int
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${p} AND e.to_on IS NULL
    ) AS pupils
  `,
  line(row) {
    const c = row as unknown as Row;
    if (c.briefs === 0) return [0, "not written yet"];
    return [c.pupils === 0 ? 1 : share(c.readers, c.pupils), `v${c.briefs} · read by ${c.readers} of ${c.pupils}`];
  },
};

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT b.number
      FROM brief_version b
      WHERE b.project_id = p.id
        AND b.number = (SELECT max(number) FROM brief_version WHERE project_id = p.id)
        AND NOT EXISTS (SELECT FROM brief_reading r WHERE r.brief_version_id = b.id AND r.person_id = ${me.id})
    ) AS unread
  `,
  items: ({ unread }) =>
    unread ? [{ what: "Read the brief", note: `version ${unread} is new to you`, path: "/brief" }] : [],
};

export const brief: Stage = {
  key: "brief",
  name: "Brief",
  pages: [
    { label: "Brief", path: "/brief" },
    { label: "Entry challenge", path: "/brief/challenge" },
  ],
  shows: ["brief", "needs", "people", "project"],
  commands: [commands, withdrawals],
  stratum,
  home,
  waiting: briefWaiting,
};
