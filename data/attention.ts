import "server-only";
import { teamFlags } from "@/core/log/flags";
import { sessionsHeld } from "@/core/sessions/sessions";
import { fromSi } from "@/core/quantity/quantity";
import { rulesOf } from "./brief";
import { calendarsOf } from "./calendars";
import { db } from "./db";
import { limitOf } from "./needs";
import { marginOf } from "@/core/needs/requirement";
import { milestonesOf } from "./grades";
import { dueFor } from "./plan";
import { reviewsOf } from "./reviews";
import { projectFacts, type ProjectFacts, statusMatrix, summaryOf } from "./status";

export interface Waiting {
  who: string;
  what: string;
  stage: string;
  href: string;
}

/** The teams' flags with their reasons, from facts already loaded where given. */
export async function flagsOf(
  projectId: string,
  today: string,
  given?: ProjectFacts,
): Promise<{ team: string; reason: string }[]> {
  const [project] = await db()<
    { id: string; startsOn: string; endsOn: string; eventOn: string | null }[]
  >`SELECT id, starts_on, ends_on, event_on FROM project WHERE id = ${projectId}`;
  const [facts, { of: calendars }, reviews, milestones] = await Promise.all([
    given ?? projectFacts(projectId),
    calendarsOf(project!),
    reviewsOf(projectId),
    milestonesOf(projectId),
  ]);
  const matrix = statusMatrix(facts);
  const primary = facts.protocols[0];
  const first = [...calendars.values()][0] ?? [];
  const end = project!.eventOn ?? project!.endsOn;
  const left = first.filter((s) => s.date > today && s.date <= end).length;
  const teams = facts.teams.map((t) => {
    const sessions = calendars.get(t.sectionId ?? "") ?? first;
    const builds = facts.builds.filter((b) => b.teamId === t.id);
    const newest = matrix.newest.get(t.id);
    const verdict = (id: string) => matrix.status.get(id)!.get(t.id)!.value;
    const musts = facts.requirements.filter((r) => r.priority === "must");
    return {
      id: t.id,
      name: t.name,
      sinceBuild: newest ? sessionsHeld(sessions, today) - sessionsHeld(sessions, newest.builtOn) : null,
      mustsUntested: musts.filter((r) => verdict(r.id) === "untested").length,
      staleMusts: musts.filter((r) => verdict(r.id) === "stale").length,
      results: primary
        ? builds.map((b) => summaryOf(facts, primary, b.id, primary.definition.primary).value.counted)
        : [],
      overdueActions: reviews
        .flatMap((r) => r.actions)
        .filter((a) => a.teamId === t.id && !a.closedAt && a.dueOn < today).length,
      overdueMilestones: milestones
        .filter((m) => m.scope === "team" && dueFor(m, t.sectionId) < today && !m.checks.some((k) => k.teamId === t.id))
        .map((m) => m.title),
      overLimits: facts.requirements.flatMap((r) => {
        const limit = limitOf(r);
        const value = r.measure === "mass" || r.measure === "cost" ? newest?.[r.measure] : null;
        const margin = limit && value != null ? marginOf(limit, value) : null;
        return margin && margin.lt(0)
          ? [
              `${r.measure} is ${fromSi(margin.abs(), limit!.unit).toDecimalPlaces(3)}` +
                `${limit!.unit === "1" ? "" : ` ${limit!.unit}`} over its limit (${r.code})`,
            ]
          : [];
      }),
    };
  });
  return teamFlags(teams, left, primary?.definition.better ?? "more");
}

/**
 * What waits for the instructor of a project: flags of teams, verdicts to give, requirements without verification,
 * students without a team.
 */
export async function attentionOf(projectId: string, slug: string, today: string): Promise<Waiting[]> {
  const facts = await projectFacts(projectId);
  const [flags, reviews, [loose], brief, [front]] = await Promise.all([
    flagsOf(projectId, today, facts),
    reviewsOf(projectId),
    db()<{ students: number; placed: number; concepts: number; scheme: boolean }[]>`
      SELECT
        (
          SELECT count(*)::int
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
        ) AS students,
        (SELECT count(*)::int FROM membership WHERE project_id = ${projectId} AND to_on IS NULL) AS placed,
        (SELECT count(*)::int FROM concept WHERE project_id = ${projectId} AND fate = 'open') AS concepts,
        EXISTS (SELECT FROM scheme_version WHERE project_id = ${projectId}) AS scheme
    `,
    db()<
      { body: string }[]
    >`SELECT body FROM brief_version WHERE project_id = ${projectId} ORDER BY number DESC LIMIT 1`,
    db()<{ changes: number; asked: number; choosing: string | null }[]>`
      SELECT
        (SELECT count(*)::int FROM change_request WHERE project_id = ${projectId} AND state = 'open') AS changes,
        (SELECT count(*)::int FROM question WHERE project_id = ${projectId} AND for_client AND NOT dropped) AS asked,
        (
          SELECT title FROM selection WHERE project_id = ${projectId} AND closed_at IS NULL ORDER BY created_at LIMIT 1
        ) AS choosing
    `,
  ]);
  const differ = brief[0] ? (await rulesOf(projectId, brief[0].body, facts.requirements)).filter((r) => r.differs) : [];
  const base = `/p/${slug}`;
  const name = (id: string) => facts.teams.find((t) => t.id === id)?.name ?? "";
  const items: Waiting[] = [];
  if (!brief.length) items.push({ who: "Class", what: "Write the brief", stage: "Brief", href: `${base}/brief` });
  if (!facts.requirements.length)
    items.push({ who: "Class", what: "Write the first requirements", stage: "Needs", href: `${base}/needs` });
  if (loose!.students === 0)
    items.push({ who: "Class", what: "Bring in the roster", stage: "People", href: `${base}/people` });
  else if (loose!.placed < loose!.students && facts.teams.length)
    items.push({
      who: "Class",
      what: `${loose!.students - loose!.placed} students are in no team`,
      stage: "Teams",
      href: `${base}/teams`,
    });
  if (loose!.concepts)
    items.push({
      who: "Class",
      what: `${loose!.concepts} concepts wait for a decision`,
      stage: "Concepts",
      href: `${base}/concepts`,
    });
  if (front!.changes)
    items.push({
      who: "Class",
      what: `${front!.changes} change ${front!.changes === 1 ? "request waits" : "requests wait"} for a decision`,
      stage: "Needs",
      href: `${base}/needs/changes`,
    });
  if (front!.asked)
    items.push({
      who: "Client",
      what: `has ${front!.asked} open ${front!.asked === 1 ? "question" : "questions"} on the client's page`,
      stage: "Needs",
      href: `${base}/needs/questions`,
    });
  if (front!.choosing)
    items.push({
      who: "Class",
      what: `${front!.choosing} is open`,
      stage: "Concepts",
      href: `${base}/concepts/choose`,
    });
  if (differ.length)
    items.push({
      who: "Brief",
      what: `${differ[0]!.requirement!.code}: ${differ[0]!.differs}`,
      stage: "Brief",
      href: `${base}/brief`,
    });
  for (const r of facts.requirements)
    if (r.priority === "must" && !r.comparator)
      items.push({
        who: r.code,
        what: "is a must without a measure",
        stage: "Needs",
        href: `${base}/needs?r=${r.code}`,
      });
  for (const r of reviews) {
    if (!r.verdict && r.sheets.length > 0 && r.heldOn <= today)
      items.push({
        who: r.team,
        what: `${r.title}: ${r.sheets.length} sheets are in, the verdict is open`,
        stage: "Reviews",
        href: `${base}/reviews/${r.id}`,
      });
  }
  for (const team of new Set(flags.map((f) => f.team)))
    items.push({
      who: name(team),
      what: flags
        .filter((f) => f.team === team)
        .map((f) => f.reason)
        .join("; "),
      stage: "Team",
      href: `${base}/builds?team=${team}`,
    });
  return items;
}
