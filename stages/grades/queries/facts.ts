import type * as row from "@/platform/db/rows";
import "server-only";
import { type PeerFactor, type PeerRating, peerFactors } from "@/core/grades/peers";
import { leavesOf, type SchemeDefinition } from "@/core/grades/scheme";
import { unitsOf } from "@/core/quantity/systems";
import type { PeerMethod } from "@/core/vocabulary/grades";
import { db } from "@/platform/db/db";
import { calendarsIn } from "@/platform/project/calendars";
import { placedContestOf } from "@/stages/contest/queries/contest";
import { eventsOf } from "@/stages/contest/queries/events";
import { overallView } from "@/stages/contest/view/overall";
import { factsBeside } from "@/stages/needs/queries/facts";
import { projectState } from "@/stages/needs/queries/state";
import { type Student, studentsOf } from "@/stages/people/queries/students";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { byTeam, type Extension, extensionKey, type World } from "../view/world";

export interface EnteredMark {
  component: row.EnteredMark["component"];
  kind: row.EnteredMark["kind"];
  share: row.EnteredMark["share"];
  reason: row.EnteredMark["reason"];
  enteredBy: row.EnteredMark["enteredBy"];
  enteredAt: string;
  typed: row.EnteredMark["typed"];
  late: row.EnteredMark["late"];
  version: row.EnteredMark["version"];
}

/** What a class's grades under some schemes are computed from. */
export interface ClassFacts {
  readonly students: readonly Student[];
  readonly world: World;
  /** By student. */
  readonly marks: ReadonlyMap<string, readonly EnteredMark[]>;
  /** Students who ask to look at a grade again, and have no answer yet. */
  readonly asked: readonly string[];
}

interface More {
  readonly units: string | null;
  readonly currency: string;
  readonly extensions: readonly (Extension & { personId: string; component: string })[];
  readonly notebooks: readonly { personId: string; days: string[] }[];
  readonly rounds: readonly { id: string; method: PeerMethod; ratings: PeerRating[] }[];
  readonly asked: readonly string[];
}

/** What is asked of the record besides builds, reviews and events: notebooks and ratings only where they count. */
async function moreOf(projectId: string, notebooks: boolean, rounds: readonly string[]): Promise<More> {
  const [more] = await db()<More[]>`
    SELECT
      p.settings->>'units' AS units, p.currency,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'personId', person_id, 'component', component, 'sessions', sessions, 'reason', reason, 'version', version
            )
          ),
          '[]'
        )
        FROM extension
        WHERE project_id = p.id
      ) AS extensions,
      (
        SELECT coalesce(json_agg(json_build_object('personId', n.person_id, 'days', n.days)), '[]')
        FROM (
          SELECT person_id, json_agg(DISTINCT on_date) AS days
          FROM notebook_entry
          WHERE project_id = p.id AND ${notebooks}
          GROUP BY person_id
        ) n
      ) AS notebooks,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', r.id, 'method', r.method, 'ratings',
              (
                SELECT coalesce(
                  json_agg(json_build_object('rater', rater_id, 'ratee', ratee_id, 'value', value::text)), '[]'
                )
                FROM peer_rating
                WHERE round_id = r.id
              )
            )
          ),
          '[]'
        )
        FROM peer_round r
        WHERE r.project_id = p.id AND r.id = ANY(${[...rounds]}::uuid[])
      ) AS rounds,
      ARRAY(SELECT person_id::text FROM appeal WHERE project_id = p.id AND outcome IS NULL ORDER BY filed_at) AS asked
    FROM project p
    WHERE p.id = ${projectId}
  `;
  return more!;
}

/** What was entered, by student, of one where asked: thousands of marks are a line a student on their way. */
const marksOf = (projectId: string, only: string | undefined) =>
  db()<{ personId: string; marks: EnteredMark[] }[]>`
    SELECT
      person_id,
      json_agg(
        json_build_object(
          'component', component, 'kind', kind, 'share', share::text, 'reason', reason, 'typed', typed, 'late', late,
          'enteredBy', entered_by, 'enteredAt', entered_at, 'version', version
        )
      ) AS marks
    FROM entered_mark
    WHERE project_id = ${projectId} AND (${only ?? null}::uuid IS NULL OR person_id = ${only ?? null})
    GROUP BY person_id
  `;

/** Peer factors of everybody who is in a team. */
const factorsOf = (
  students: readonly Student[],
  { method, ratings }: More["rounds"][number],
): Map<string, PeerFactor> =>
  new Map(
    [...byTeam(students).values()].flatMap((t) => peerFactors(method, t, ratings).map((f) => [f.id, f] as const)),
  );

/** The team's place in the contest, by name. */
async function overallOf(projectId: string): Promise<World["overall"]> {
  const { contest } = await placedContestOf(projectId, false);
  const { rows, begun } = overallView(contest);
  if (!begun) return new Map();
  const sharing = (place: number | null) => rows.filter((r) => r.place === place).length;
  return new Map(
    rows.flatMap(({ team, place, working }) =>
      place === null ? [] : [[team, { place, sharing: sharing(place), working }] as const],
    ),
  );
}

/**
 * What is needed to grade a class under these schemes. With `whole` the facts of the builds go down to the single run;
 * of one student those of the own team. Calendars are read where they are not known already.
 */
export async function classFacts(
  projectId: string,
  today: string,
  schemes: readonly SchemeDefinition[],
  { only, whole, calendars: known }: { only?: string; whole: boolean; calendars?: World["calendars"] },
): Promise<ClassFacts> {
  const parts = schemes.flatMap((s) => leavesOf(s.components));
  const rounds = schemes.flatMap((s) => s.peers?.round ?? []);
  const notebooks = parts.some((c) => c.source.kind === "notebook");
  const overall = parts.some((c) => c.source.kind === "points" && "overall" in c.source.measure);
  const dated = notebooks || parts.some((c) => c.source.kind === "milestone");
  const events = parts.some((c) => c.source.kind === "points" && "event" in c.source.measure);
  const [students, state, reviews, milestones, contest, entered, more, calendars, places] = await Promise.all([
    studentsOf(projectId),
    projectState(projectId),
    reviewsOf(projectId),
    milestonesOf(projectId),
    events ? eventsOf(projectId) : [],
    marksOf(projectId, only),
    moreOf(projectId, notebooks, rounds),
    dated && !known ? calendarsIn([projectId]) : null,
    overall ? overallOf(projectId) : new Map(),
  ]);
  const team = students.find((x) => x.id === only)?.teamId;
  const shown = state.builds.filter((b) => only === undefined || b.teamId === team).map((b) => b.id);
  const marks = new Map<string, readonly EnteredMark[]>(students.map((x) => [x.id, []]));
  for (const e of entered) if (marks.has(e.personId)) marks.set(e.personId, e.marks);
  return {
    students,
    marks,
    asked: more.asked,
    world: {
      state,
      facts: whole ? await factsBeside(projectId, state, shown) : null,
      reviews,
      milestones,
      events: contest,
      overall: places,
      calendars: known ?? calendars?.get(projectId)?.of ?? new Map(),
      notebooks: new Map(more.notebooks.map((n) => [n.personId, n.days])),
      extensions: new Map(more.extensions.map((e) => [extensionKey(e.personId, e.component), e])),
      peers: new Map(more.rounds.map((r) => [r.id, factorsOf(students, r)])),
      units: { mass: unitsOf((more.units as "metric" | null) ?? "metric").mass, cost: more.currency },
      today,
    },
  };
}
