import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface PeerRound {
  id: row.PeerRound["id"];
  title: row.PeerRound["title"];
  method: row.PeerRound["method"];
  openedAt: row.PeerRound["openedAt"];
  closedAt: row.PeerRound["closedAt"];
  version: row.PeerRound["version"];
  /** Who has handed in. */
  raters: string[];
}

/** The ratings of a project, the newest first, with who has handed in; without what they say. */
export const peerRoundsOf = (projectId: string) => db()<PeerRound[]>`
  SELECT
    r.id, r.title, r.method, r.opened_at, r.closed_at, r.version,
    (SELECT coalesce(json_agg(DISTINCT rater_id), '[]') FROM peer_rating WHERE round_id = r.id) AS raters
  FROM peer_round r
  WHERE r.project_id = ${projectId}
  ORDER BY r.opened_at DESC, r.id
`;

export interface PeerRatingRow {
  rater: row.PeerRating["raterId"];
  ratee: row.PeerRating["rateeId"];
  value: string;
  comment: row.PeerRating["comment"];
}

/** Everything that was handed in to a rating: for instructors alone. */
export const ratingsOf = (roundId: string) => db()<PeerRatingRow[]>`
  SELECT rater_id AS rater, ratee_id AS ratee, value::text, comment
  FROM peer_rating
  WHERE round_id = ${roundId}
  ORDER BY rater_id, ratee_id
`;

/** What one student has handed in to the ratings of a project, by rating. */
export const ownRatings = (projectId: string, personId: string) => db()<(PeerRatingRow & { round: string })[]>`
  SELECT g.round_id AS round, g.rater_id AS rater, g.ratee_id AS ratee, g.value::text, g.comment
  FROM peer_rating g
  JOIN peer_round r ON r.id = g.round_id
  WHERE r.project_id = ${projectId} AND g.rater_id = ${personId}
`;
