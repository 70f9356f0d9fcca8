import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Chapter } from "../schema-story";

export interface Story {
  id: row.Story["id"];
  teamId: row.Story["teamId"];
  team: row.Team["name"];
  title: row.Story["title"];
  chapters: Chapter[];
  sharedAt: row.Story["sharedAt"];
  writtenBy: row.Story["writtenBy"];
  writtenAt: row.Story["writtenAt"];
  version: row.Story["version"];
}

/** The stories of a project's teams, or of one team. */
export const storiesOf = (projectId: string, teamId?: string) => db()<Story[]>`
  SELECT s.id, s.team_id, t.name AS team, s.title, s.chapters, s.shared_at, s.written_by, s.written_at, s.version
  FROM story s
  JOIN team t ON t.id = s.team_id
  WHERE s.project_id = ${projectId} ${teamId === undefined ? db()`` : db()`AND s.team_id = ${teamId}`}
  ORDER BY t.name
`;

export interface Topic {
  id: row.ReportTopic["id"];
  title: row.ReportTopic["title"];
  teamId: row.ReportTopic["teamId"];
  team: row.Team["name"] | null;
  body: row.ReportTopic["body"];
  writtenBy: row.ReportTopic["writtenBy"];
  version: row.ReportTopic["version"];
}

/** The topics of the class report, in order. */
export const topicsOf = (projectId: string) => db()<Topic[]>`
  SELECT x.id, x.title, x.team_id, t.name AS team, x.body, x.written_by, x.version
  FROM report_topic x
  LEFT JOIN team t ON t.id = x.team_id
  WHERE x.project_id = ${projectId}
  ORDER BY x.place, x.id
`;

/** The pictures of a team's builds, in order of the builds. */
export const teamPictures = (teamId: string) => db()<
  {
    id: row.FileUse["id"];
    caption: row.FileUse["caption"];
    build: row.Build["number"];
    hash: row.FileUse["fileHash"];
  }[]
>`
  SELECT f.id, f.caption, b.number AS build, f.file_hash AS hash
  FROM file_use f
  JOIN build b ON b.id = f.build_id
  WHERE b.team_id = ${teamId}
  ORDER BY b.number, f.added_at, f.id
`;
