import { notFound } from "next/navigation";
import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { tasksOf } from "@/stages/plan/queries/tasks";
import { eventFor, planView } from "@/stages/plan/view/tasks";
import { classActs } from "../acts";
import { classOf } from "../queries/classes";
import { flagsOf } from "../queries/flags";
import { chosenMeeting, classView, meetingsOf } from "../view/classes";

/** What the pages of one class have in common: its section and day, what is kept of it, and where the teams stand. */
export async function classPage(slug: string, asked: { section?: string; day?: string }) {
  const { frame } = await projectPage(slug, classActs.keep);
  const p = frame.project;
  const chosen = chosenMeeting(meetingsOf(frame.calendars), frame.today, asked);
  if (!chosen) return { frame, chosen: null };
  const { meeting, next } = chosen;
  const section = frame.sections.find((s) => s.id === meeting.section);
  if (!section) notFound();
  const [state, milestones, tasks, settings, facts] = await Promise.all([
    projectState(p.id),
    milestonesOf(p.id),
    tasksOf(p.id),
    settingsOf(p.id),
    classOf(p.id, section.id, meeting.date, next?.date ?? meeting.date),
  ]);
  const end = p.eventOn ?? p.endsOn;
  const { flags, aside } = await flagsOf(state, {
    project: p.id,
    today: frame.today,
    end,
    calendars: frame.calendars,
    milestones,
  });
  const sessions = frame.calendars.get(section.id) ?? [];
  const event = eventFor(p, section);
  const view = classView({ meeting, next, today: frame.today }, state, facts, {
    sessions,
    milestones,
    tasks: planView(tasks, milestones, section.id, sessions, event, frame.today).lines,
    flags,
    sessionMinutes: settings.sessionMinutes,
  });
  const which =
    (meeting.numbers.length > 1 ? `sessions ${meeting.numbers.join(" and ")}` : `session ${meeting.numbers[0]}`) +
    ` of ${sessions.length}`;
  return {
    frame,
    chosen,
    section,
    facts,
    view,
    aside: aside.filter((a) => view.standing.some((t) => t.id === a.team)),
    on: { projectId: p.id, sectionId: section.id, onDate: meeting.date },
    /** Said of it in a line. */
    says: `${longDate(meeting.date)} · ${which} · ${view.minutes} min`,
  };
}

export type ClassPage = Extract<Awaited<ReturnType<typeof classPage>>, { section: object }>;
