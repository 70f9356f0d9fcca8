import "server-only";
import { isDate } from "@/core/sessions/date";
import { trainingState } from "@/core/shop/training";
import { shortDate } from "@/platform/pages/dates";
import type { ProjectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { teamsOf } from "@/stages/teams/queries/teams";
import { bookingActs } from "../acts";
import type { BookingTeam } from "../parts/booking-form";
import { bookingsOf, doneTimes, piecesToCut } from "../queries/bookings";
import { checksOn } from "../queries/safety";
import { type Tool, toolsOf } from "../queries/tools";
import { machineWeek } from "../view/bookings";
import { shopTimes, weekOf } from "../view/times";
import { trainingWords } from "../view/training";

/** What the pages of a machine show: its week, who waits, and what its reader may do. */
export async function machinePage(page: ProjectPage, asked: { machine?: string; week?: string }) {
  const { frame } = page;
  const p = frame.project;
  const tools = (await toolsOf(p.id)).filter((t) => t.shared);
  const tool: Tool | undefined = tools.find((t) => t.id === asked.machine) ?? tools[0];
  if (!tool) return { tools, tool: null };
  const { from, to } = weekOf(asked.week && isDate(asked.week) ? asked.week : frame.today);
  const [settings, bookings, checks, done, teams, pieces] = await Promise.all([
    settingsOf(p.id),
    bookingsOf(tool.id, from, to),
    checksOn(p.id, frame.today),
    doneTimes(p.id),
    teamsOf(p.id),
    piecesToCut(p.id),
  ]);
  const times = shopTimes(frame.calendars, settings.sessionMinutes, from, to);
  const place = page.may(bookingActs.place) && !p.finishedAt;
  const week = machineWeek(tool, bookings, times, frame.sections, checks, done, {
    today: frame.today,
    staff: place,
  });
  const trained = (id: string) =>
    trainingState(
      tool.signed.find((s) => s.personId === id),
      frame.today,
    );
  const booked: BookingTeam[] = teams.map((t) => ({
    id: t.id,
    name: t.name,
    members: t.members.map((m) => ({ value: m.id, label: `${m.name}: ${trainingWords[trained(m.id)]}` })),
    pieces: pieces
      .filter((x) => x.teamId === t.id)
      .map((x) => ({ value: x.id, label: x.once ? `${x.label}, cut once only` : x.label })),
  }));
  // Sessions to come, for a time that is given by hand.
  const coming = shopTimes(frame.calendars, settings.sessionMinutes, frame.today, p.endsOn).slice(0, 40);
  const many = frame.sections.length > 1;
  const name = (id: string) => (many ? `, ${frame.sections.find((s) => s.id === id)?.name}` : "");
  return {
    tools,
    tool,
    week,
    from,
    teams: booked,
    checked: checks.filter((c) => c.toolId === tool.id),
    place,
    ask: (team: string) => page.may(bookingActs.ask, { team }) && !p.finishedAt,
    times: coming.map((t) => ({ value: t.key, label: `session ${t.number}, ${shortDate(t.date)}${name(t.section)}` })),
    strictness: settings.trainingStrictness,
  };
}
