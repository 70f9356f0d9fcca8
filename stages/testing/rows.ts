// Rows as queries give them, made up for tests of views: what a test does not say is ordinary.
import type { ProtocolDefinition } from "@/core/run/protocol";
import type { Verdict } from "@/core/vocabulary/needs";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { Build } from "@/stages/builds/queries/builds";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Milestone } from "@/stages/plan/queries/milestones";
import type { Task } from "@/stages/plan/queries/tasks";
import type { Review } from "@/stages/reviews/queries/reviews";
import type { Team } from "@/stages/teams/queries/teams";

export const aTeam = (name: string, more: Partial<Team> = {}): Team => ({
  id: name as Team["id"],
  name,
  sectionId: "section" as Team["sectionId"],
  section: "3",
  conceptId: null,
  concept: null,
  version: 1,
  members: [],
  ...more,
});

export const aBuild = (team: string, number: number, more: Partial<Build> = {}): Build =>
  ({
    id: `${team} G${number}`,
    teamId: team,
    team,
    number,
    builtOn: "2027-02-01",
    stage: "prototype",
    whatChanged: "a longer drum",
    why: "",
    mass: null,
    cost: null,
    sides: null,
    predicted: null,
    version: 1,
    revision: 1,
    parents: [],
    variables: {},
    dropped: {},
    features: [],
    photos: [],
    ...more,
  }) as unknown as Build;

export const aRequirement = (code: string, more: Partial<RequirementRow> = {}): RequirementRow => ({
  id: code,
  code,
  rowVersion: 1,
  ownerId: null,
  owner: null,
  number: 1,
  statement: `${code} holds`,
  kind: "criterion",
  priority: "must",
  measure: null,
  comparator: null,
  target: null,
  second: null,
  sides: null,
  unit: null,
  reading: null,
  method: null,
  source: "",
  reason: "",
  createdBy: "Mara Okafor",
  createdAt: "2027-01-18T08:00:00Z",
  ...more,
});

export const aProtocol = (definition: ProtocolDefinition, more: Partial<Protocol> = {}): Protocol =>
  ({ id: "lift", name: "Timed lift", number: 1, versionId: "lift 1", definition, ...more }) as Protocol;

/** Where a project stands: verdicts by "requirement build", summaries by build. */
export function aState(
  rows: Partial<Pick<ProjectState, "requirements" | "teams" | "builds" | "protocols">>,
  verdicts: Record<string, Verdict> = {},
  counted: Record<string, number> = {},
): ProjectState {
  const builds = rows.builds ?? [];
  return {
    requirements: [],
    teams: [],
    protocols: [],
    ...rows,
    builds,
    tested: new Set(Object.keys(counted)),
    newest: new Map(builds.map((b) => [b.teamId as string, b])),
    verdict: (r, b) => verdicts[`${r} ${b}`] ?? "untested",
    summary: (b) =>
      b in counted
        ? ({ counted: counted[b], mean: counted[b], best: counted[b], bestRun: `run of ${b}` } as ReturnType<
            ProjectState["summary"]
          >)
        : null,
  };
}

export const aReview = (team: string, more: Partial<Review> = {}): Review =>
  ({
    id: `${team} review`,
    title: "First review",
    heldOn: "2027-02-10",
    teamId: team,
    team,
    build: 1,
    rubric: "Design",
    definition: {
      criteria: [
        {
          key: "fit",
          name: "Fit",
          weight: "1",
          levels: [
            { points: "0", descriptor: "no" },
            { points: "4", descriptor: "yes" },
          ],
        },
      ],
    },
    verdict: null,
    sheets: [],
    actions: [],
    ...more,
  }) as unknown as Review;

export const aMilestone = (title: string, dueOn: string, more: Partial<Milestone> = {}): Milestone => ({
  id: title as Milestone["id"],
  title,
  dueOn,
  dates: {},
  scope: "team",
  gateStage: null,
  version: 1,
  checks: [],
  ...more,
});

export const aTask = (title: string, length: number, after: string[] = [], more: Partial<Task> = {}): Task => ({
  id: title as Task["id"],
  title,
  length,
  notBefore: null,
  deadline: null,
  milestoneId: null,
  after: after as Task["after"],
  doneOn: null,
  version: 1,
  ...more,
});

/** A class session on each of these days. */
export const sessionsOn = (...dates: string[]) => dates.map((date, i) => ({ number: i + 1, date }));
