import { randomUUID } from "node:crypto";
import { seededRandom } from "@/core/draw/draw";
import { primaryOf } from "@/core/run/protocol";
import { unitAfter } from "@/core/run/reading";
import { db } from "@/platform/db/db";
import { calendarsIn } from "@/platform/project/calendars";
import { saveSettings } from "@/platform/project/save-settings";
import { projectState } from "@/stages/needs/queries/state";
import { writeEntry } from "@/stages/notebook/commands";
import { askCountersign, countersign } from "@/stages/notebook/countersigned";
import { addEntryPicture, markEntryPicture } from "@/stages/notebook/pictures";
import { entriesOf } from "@/stages/notebook/queries";
import { meetingsOf } from "@/stages/today/view/classes";
import { sketch } from "./helpers";
import { at, clock, run } from "./run";

interface Week {
  readonly build: string;
  readonly changed: string;
  readonly before: string | null;
  readonly value: string | null;
}

/** What a member writes of classes one after the other, by the part that the member has in the team. */
const wrote: readonly (readonly ((w: Week) => string)[])[] = [
  [
    (w) =>
      `Goal: agree on what changes in ${w.build}.\nDid: we took “${w.changed}”` +
      `${w.before ? ` and left the rest as in ${w.before}` : ""}.\nNext: say it on the bench before anybody cuts.`,
    (w) =>
      `Did: split the work on ${w.build} for the week: two at the bench, one at the drill, one writes. Next: swap.`,
    (w) => `Saw: ${w.build} is heavier than I thought. Before we go on I want to know which part it is.`,
    () => "Did: asked the other section how they keep the foot valve shut. They file the seat on glass. Next: try it.",
  ],
  [
    (w) =>
      `Did: my parts of ${w.build} marked out and cut. The second is 1.5 mm short: I began at the rule's end.\n` +
      "Next: cut it again from the offcut.",
    (w) => `Did: drilled the pivot of ${w.build} 0.2 mm wider; now the lever falls by itself. Saw: no play sideways.`,
    () => "Goal: a seal that I can change in a minute. Did: two screws instead of glue. Saw: it drips at the left one.",
    (w) =>
      `Did: sanded the edges of ${w.build} and put the guard on. Saw: the guard rubs when the lever is all the way up.`,
  ],
  [
    (w) =>
      w.value
        ? `Did: ${w.build} on the bench. Saw: ${w.value} counts. The first strokes give less: we pump five first.`
        : `Did: set up the bench for ${w.build}, 1.60 m up, water at 19 °C. Nothing ran yet: the hose was too short.`,
    () => "Saw: two of us read the same stroke 4 mm apart. Next: the same person reads, and the rule is screwed on.",
    (w) => `Goal: find out whether “${w.changed}” did it. Did: the old one and ${w.build} in turns, four runs each.`,
    () => "Did: weighed the bucket dry before each run. It was 40 g wet: more than the difference that we look for.",
  ],
  [
    (w) =>
      `Did: brought the parts list of ${w.build} up to date. R-03 has room left, R-05 hardly any. Two prices were old.`,
    () =>
      "Did: put the photos to the failures, each with a pin. Saw: three of four are within a hand of the same joint.",
    (w) => `Goal: everybody can find ${w.build}'s settings. Did: wrote them on the bench card, and in the record.`,
    () => "Did: read what the client said in week two again. She said “path”, not “bed”: the leak matters there.",
  ],
];

const views = ["from the left", "the valve", "from above", "the base"];
const seen = ["Air comes in here", "The screw works loose", "Rubs on this side", "Leaks at the seam"];

/** What the students of a project wrote after classes, of their own part; each once with a picture and two marks. */
export async function writeNotebooks(projectId: string): Promise<void> {
  const calendars = (await calendarsIn([projectId])).get(projectId)!;
  const state = await projectState(projectId);
  const meetings = meetingsOf(calendars.of);
  const dice = seededRandom("notebooks of the terrace");
  const written = new Set(
    (
      await db()<{ key: string }[]>`
      SELECT person_id || ' ' || on_date AS key FROM notebook_entry WHERE project_id = ${projectId}
    `
    ).map((x) => x.key),
  );
  const primary = state.protocols[0]!;
  const counted = (build: string) => {
    const shown = state.summary(build, primary.id, primary.definition.primary)?.shown;
    return shown ? unitAfter(shown, primaryOf(primary.definition).unit) : null;
  };
  for (const [t, team] of state.teams.entries()) {
    const builds = state.builds.filter((b) => b.teamId === team.id);
    const days = meetings.filter((m) => m.section === team.sectionId && m.date < clock.today).slice(3);
    for (const [i, member] of team.members.entries()) {
      let nth = 0;
      let pictured = false;
      for (const { date } of days) {
        const build = builds.findLast((b) => b.builtOn <= date);
        // Some write after nearly every class, some seldom.
        if (dice() > 0.3 + 0.15 * ((i + t) % 3) || !build || written.has(`${member.id} ${date}`)) continue;
        const week: Week = {
          build: `G${build.number}`,
          changed: build.whatChanged,
          before: build.number > 1 ? `G${build.number - 1}` : null,
          value: counted(build.id),
        };
        await at(date, 14, 10 + 3 * i);
        const id = randomUUID();
        const own = wrote[i % wrote.length]!;
        const text = own[(nth++ + t) % own.length]!(week);
        await run(writeEntry, member.id, { id, projectId, personId: member.id, text });
        if (pictured) continue;
        pictured = true;
        const caption = `${team.name}, ${week.build}, ${views[i % views.length]}`;
        const base64 = await sketch(caption, 30 + 12 * t);
        const { id: picture } = await run(addEntryPicture, member.id, { entryId: id, caption, base64 });
        const marks = [0, 1].map((k) => ({
          x: 0.3 + 0.3 * k,
          y: 0.35 + 0.2 * k,
          text: seen[(t + i + k) % seen.length]!,
        }));
        await run(markEntryPicture, member.id, { id: picture, caption, marks });
      }
    }
  }
}

/** The school asks for countersigned notebooks: some are signed, one was amended since, and one waits. */
export async function countersignNotebooks(owner: string, projectId: string): Promise<void> {
  await at(clock.today, 8);
  await run(saveSettings, owner, { projectId, countersign: "partner" });
  const state = await projectState(projectId);
  for (const [t, team] of state.teams.entries()) {
    const [writer, partner] = team.members;
    if (!writer || !partner) continue;
    const entries = await entriesOf(projectId, { personId: writer.id });
    for (const [i, e] of entries.slice(0, 2 + (t % 2)).entries()) {
      const id = randomUUID();
      await at(clock.today, 8, 5 + t);
      await run(askCountersign, writer.id, { id, entryId: e.id, partnerId: partner.id });
      if (i > 0 || t % 3 === 0) await run(countersign, partner.id, { id, number: e.version });
    }
  }
}
