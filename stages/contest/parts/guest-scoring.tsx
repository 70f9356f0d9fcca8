import { redirect } from "next/navigation";
import { can } from "@/core/access/can";
import { currentGuest } from "@/platform/sign-in/cookies";
import { LinkChoice } from "@/ui/link-choice";
import { OfflinePage } from "@/ui/offline-page";
import { Empty } from "@/ui/page";
import { contestActs } from "../acts";
import { type FieldEvent, fieldEvent, withAttempts } from "../queries/events";
import { enteredOf, linesOf } from "../queries/inspections";
import { type JudgedEvent, judgedEventsOf } from "../queries/judged";
import { eventNames, type MatchEvent, matchEventsOf } from "../queries/matches";
import { type EventSafety, safetyOfEvent } from "../queries/safety";
import { fieldRows, fieldRules } from "../view/field";
import { chosenBuild } from "../view/inspection-list";
import { judgedRows } from "../view/judged";
import { playedView, toPlay } from "../view/lives";
import { openEntries } from "../view/open-entries";
import { mayBegin } from "../view/safety";
import { DayBox } from "./day-box";
import { SafetyBar } from "./event-safety";
import { Field } from "./field";
import { InspectionPanel } from "./inspection-panel";
import { JudgeSheets, MatchEntry } from "./lazy-entries";
import { Timing } from "./timing";

const eventHref = (id: string) => `/guest?event=${id}`;
const inspectAt = "/guest?inspect=";
const inspectHref = (buildId: string) => inspectAt + buildId;

/** The inspection, for a judge: the same sheet as the instructor's. */
async function GuestInspection({ project, build }: { project: string; build: string }) {
  const builds = await enteredOf(project);
  const chosen = chosenBuild(builds, build);
  if (chosen && build !== chosen.buildId) redirect(inspectHref(chosen.buildId));
  return (
    <>
      <InspectionPanel
        builds={builds}
        chosen={chosen}
        lines={chosen ? await linesOf(project, chosen.buildId) : []}
        hrefOf={inspectHref}
        via="guest"
        open
        staff={false}
      />
      <OfflinePage pages={builds.map((b) => inspectHref(b.buildId))} />
    </>
  );
}

/** One event of matches, for a scorer. */
function Matches({ race, safety, judges }: { race: MatchEvent; safety: EventSafety; judges: boolean }) {
  const next = toPlay(playedView(race));
  return (
    <>
      <h1>{race.name}</h1>
      <SafetyBar event={safety} judges={judges} via="guest" />
      {next.length === 0 && <p className="text-soft">No match can be played now.</p>}
      <fieldset disabled={!mayBegin(safety)}>
        {next.map((m) => (
          <MatchEntry
            key={`${m.slot} ${m.a} ${m.b}`}
            eventId={race.id}
            match={m}
            rules={race.rules}
            via="guest"
            large
          />
        ))}
      </fieldset>
      {race.rules.decides === "measured" && <Timing />}
    </>
  );
}

/** One event of attempts, for a scorer: every entry is there, of a large field open only who is next. */
async function Attempts({ event, safety, judges }: { event: FieldEvent; safety: EventSafety; judges: boolean }) {
  const scored = await withAttempts(event);
  return (
    <>
      <h1>{event.name}</h1>
      <p className="mb-2 text-soft">
        {event.definition.policy.n} attempts each{event.definition.unit !== "1" && `, in ${event.definition.unit}`}.
        What is saved is named below each team at once.
      </p>
      <SafetyBar event={safety} judges={judges} via="guest" />
      <Field
        key={event.id}
        rows={fieldRows(scored)}
        rules={fieldRules(event)}
        via="guest"
        large
        inspectAt={judges ? inspectAt : undefined}
        blocked={!mayBegin(safety)}
        confirmed={event.state === "confirmed"}
        open={openEntries(event)}
      />
      <Timing />
    </>
  );
}

/** One judged event, for a judge: their own sheets, and nobody else's. */
const Sheets = ({ event, judge, safety }: { event: JudgedEvent; judge: string; safety: EventSafety }) => (
  <>
    <h1>{event.name}</h1>
    <p className="mb-2 text-soft">
      Marks from 0 to {event.rules.most}. Only the instructor sees your sheets until the result is confirmed.
    </p>
    <SafetyBar event={safety} judges via="guest" />
    <fieldset disabled={!mayBegin(safety)}>
      <JudgeSheets key={event.id} rows={judgedRows(event, judge)} rules={event.rules} />
    </fieldset>
  </>
);

/** What there is to score: the event that was chosen, of those that are not confirmed; large targets. */
async function ToScore({ project, wanted, judge }: { project: string; wanted?: string; judge: string | null }) {
  const names = await eventNames(project);
  const judges = judge !== null;
  const open = names
    .filter((e) => e.state !== "confirmed" && (judges || e.format !== "judged"))
    .sort((a, b) => Number(b.format === "attempts") - Number(a.format === "attempts"));
  const chosen = open.find((e) => e.id === wanted) ?? open.find((e) => e.state === "running") ?? open[0];
  if (!chosen)
    return <Empty title="Nothing to score now">The instructor sets up the event; this page shows it by itself.</Empty>;
  const [event, [race], [judged], safety] = await Promise.all([
    chosen.format === "attempts" ? fieldEvent(project, chosen.id) : undefined,
    chosen.format === "attempts" || chosen.format === "judged" ? [] : matchEventsOf(project, undefined, chosen.id),
    chosen.format === "judged" ? judgedEventsOf(project, undefined, chosen.id) : [],
    safetyOfEvent(chosen.id),
  ]);
  return (
    <>
      {open.length > 1 && (
        <div className="mb-3">
          <LinkChoice
            label="Event"
            options={open.map((e) => ({ value: e.id, label: e.name }))}
            chosen={chosen.id}
            hrefOf={eventHref}
          />
        </div>
      )}
      {event && <Attempts event={event} safety={safety!} judges={judges} />}
      {judged && judges && <Sheets event={judged} judge={judge} safety={safety!} />}
      {race && <Matches race={race} safety={safety!} judges={judges} />}
      <OfflinePage pages={open.map((e) => eventHref(e.id))} />
    </>
  );
}

/** The page of judges and scorers: what there is to score, and for a judge the inspection. */
export async function GuestScoring({ project, inspect, event }: { project: string; inspect?: string; event?: string }) {
  const guest = await currentGuest();
  const inspects = can(guest, contestActs.inspect, { project });
  const inspecting = inspects && inspect !== undefined;
  return (
    <DayBox via="guest">
      {inspects && (
        <div className="mb-4">
          <LinkChoice
            label="What you do"
            options={[
              { value: "inspect", label: "Inspection" },
              { value: "score", label: "Scoring" },
            ]}
            chosen={inspecting ? "inspect" : "score"}
            hrefOf={(what) => (what === "inspect" ? "/guest?inspect=" : "/guest")}
          />
        </div>
      )}
      {inspecting ? (
        <GuestInspection project={project} build={inspect} />
      ) : (
        <ToScore project={project} wanted={event} judge={inspects && guest?.kind === "guest" ? guest.id : null} />
      )}
    </DayBox>
  );
}
