import { staffOf } from "@/stages/people/queries/students";
import { addTopics, dealTopics, writeTopic } from "@/stages/reviews/commands/report";
import { saveStory, shareStory } from "@/stages/reviews/commands/story";
import { topicsOf } from "@/stages/reviews/queries/story";
import { storyFacts } from "@/stages/reviews/queries/story-facts";
import { holdClasses, loseClass } from "./classes";
import { lookUpTerrace, trainTerrace } from "./handbook";
import { countersignNotebooks, writeNotebooks } from "./notebook-weeks";
import { readNotebooks } from "./notebooks";
import { at, run } from "./run";
import { settingsOfTheShop } from "./shop";
import { bookTheShop, stockTheShop, tellIncidents } from "./shop-week";
import { testReview } from "./terrace-reviews";

/** How two teams tell their story in their own words; the third has only begun. */
const told: Readonly<Record<string, { title: string; first: string; shared: boolean }>> = {
  Cistern: {
    title: "One change at a time",
    first:
      "We had three ideas and one bench. So we agreed that each new build changes one thing, and that the record " +
      "says what we expected before we carried it to the water.",
    shared: true,
  },
  Freshet: {
    title: "The tube that swings, and what it taught us",
    first:
      "Nobody in the class believed in a pump without a valve. We did not either, to be honest; we wanted to know " +
      "why it should not work.",
    shared: true,
  },
  Downpour: { title: "Corks", first: "", shared: false },
};

const topics = [
  "How a flap valve opens",
  "What a stroke costs the arm",
  "Leaks and how we measured them",
  "Tubes we tried",
];

/** The stories of three teams, and a class report of four topics of which one is written. */
async function tellStories(
  owner: string,
  projectId: string,
  teams: ReadonlyMap<string, { id: string; members: readonly string[] }>,
  day: string,
): Promise<void> {
  for (const [name, { title, first, shared }] of Object.entries(told)) {
    const team = teams.get(name)!;
    await at(day, 15, name.length);
    const drafts = await (await storyFacts(projectId, team.id)).drafts();
    const own = first ? [{ key: "own 1", heading: "Before the first build", text: first }] : [];
    const chapters = [...own, ...drafts].map((c, i, all) => ({ ...c, figure: first !== "" && i === all.length - 1 }));
    const { id } = await run(saveStory, team.members[0]!, { projectId, teamId: team.id, title, chapters });
    if (shared) await run(shareStory, team.members[1]!, { id, version: 1, shared });
  }
  await run(addTopics, owner, { projectId, titles: topics });
  await run(dealTopics, owner, { projectId, seed: "terrace" });
  const [flap] = await topicsOf(projectId);
  const writer = [...teams.values()].find((t) => t.id === flap!.teamId)!.members[0]!;
  await run(writeTopic, writer, {
    id: flap!.id,
    version: 2,
    body:
      "A flap opens when the pressure below it is higher than above, and falls shut by its own weight.\n\n" +
      "- **Too stiff**: it opens late, and the stroke is lost.\n- **Too soft**: it folds, and water runs back.\n\n" +
      "Rubber of 1.5 mm did best of what the class tried; how warm the water is mattered less than we thought.",
  });
}

/** The test review of week 7, and what the teams have to tell after it. */
export async function testAndTell(
  owner: string,
  projectId: string,
  teams: ReadonlyMap<string, { id: string; members: readonly string[] }>,
  day: string,
): Promise<void> {
  const co = (await staffOf(projectId)).find((x) => x.role === "co")!.id;
  await testReview(owner, co, projectId, teams, day);
  await tellStories(owner, projectId, teams, day);
  await lookUpTerrace(owner, projectId, teams);
  await trainTerrace(projectId, teams);
  await writeNotebooks(projectId);
  await countersignNotebooks(owner, projectId);
  await readNotebooks(owner, projectId);
  await settingsOfTheShop(projectId, [owner, teams.get("Cistern")!.members[0]!, teams.get("Gully")!.members[1]!]);
  await stockTheShop(owner, projectId, teams);
  await bookTheShop(owner, projectId, teams);
  await tellIncidents(owner, projectId, teams);
  await holdClasses(owner, projectId);
  await loseClass(owner, projectId);
}
