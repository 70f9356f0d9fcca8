import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { actorOf } from "@/platform/sign-in/actors";
import { addPhoto } from "@/stages/builds/commands/builds";
import { ok, refused } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { chapter, type World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { storiesOf, topicsOf } from "../queries/story";
import { storyFacts } from "../queries/story-facts";
import { storyFile } from "../story-file";
import { addTopics, dealTopics, writeTopic } from "./report";
import { saveStory, shareStory } from "./story";

const here = worldEach("Pump");
let boss: Actor;
let mate: Actor;
let w: World;
beforeEach(async () => {
  ({ boss, w } = here);
  mate = await actorOf(w.students[0]!);
});
const story = (more: object) => ({
  projectId: w.projectId,
  teamId: w.a,
  version: 1,
  title: "Ours",
  chapters: [chapter],
  ...more,
});

test("a story begins with a chapter for each build, made from the record", async () => {
  const facts = await storyFacts(w.projectId, w.a);
  const [drafts, { points }] = [await facts.drafts(), facts];
  expect(drafts.map((d) => d.heading)).toEqual(["G1, prototype: First"]);
  expect(drafts[0]!.text).toContain("What we tried. Built on Sat 20 February. First.");
  expect(drafts[0]!.text).toMatch(/What we saw\. .* 8\.\d+ L\/min in \d runs?\./);
  expect(drafts[0]!.text).toContain("First review; agreed: Mend the seal.");
  expect(points!.points.map((p) => p.name)).toEqual(["G1"]);
});

test("a team keeps its story; a stale tab is a conflict, and pictures are of its own builds", async () => {
  const own = (await ok(addPhoto, mate, { buildId: w.build, base64: await picture() })).id;
  const other = (await ok(addPhoto, boss, { buildId: w.otherBuild, base64: await picture("#68a") })).id;
  expect(await refused(saveStory, mate, story({ chapters: [{ ...chapter, pictures: [other] }] }))).toMatchObject({
    message: expect.stringContaining("not (any more) of the team's builds"),
  });
  await ok(saveStory, mate, story({ title: "Anew", chapters: [{ ...chapter, pictures: [own], figure: true }] }));
  expect(await execute(saveStory, boss, story({}))).toMatchObject({ ok: false, kind: "conflict" });
  expect(await refused(saveStory, mate, story({ version: 2, chapters: [chapter, chapter] }))).toMatchObject({
    fields: { chapters: expect.stringContaining("twice") },
  });
  // One page that needs nothing else.
  const project = { id: w.projectId, title: "Pump" };
  const page = (await storyFile(project, w.a, true))!;
  expect(page).toContain("<h1>Anew</h1>");
  expect(page).toContain("data:image/jpeg;base64,");
  expect(page).toContain("<svg ");
  expect(page).not.toMatch(/src="[^d]/);
  expect(await storyFile(project, w.a, false)).toBeNull();
  await ok(shareStory, mate, { id: w.story, version: 2, shared: true });
  expect(await storyFile(project, w.a, false)).not.toBeNull();
  expect((await storiesOf(w.projectId)).map((s) => [s.team, s.sharedAt !== null])).toEqual([
    [expect.any(String), true],
  ]);
});

test("topics are dealt evenly, the same for the same seed; what is written stays with its team", async () => {
  await ok(writeTopic, mate, { id: w.topic, version: 2, body: "A lever." });
  await ok(addTopics, boss, { projectId: w.projectId, titles: ["Valves", "Tubes", "Seals"] });
  const dealt = async (seed: string) => {
    await ok(dealTopics, boss, { projectId: w.projectId, seed });
    return (await topicsOf(w.projectId)).map((t) => t.teamId);
  };
  const first = await dealt("42");
  expect(first[0]).toBe(w.a);
  // Two teams, four topics: two each.
  expect(first.filter((t) => t === w.a)).toHaveLength(2);
  expect(first.filter((t) => t === w.b)).toHaveLength(2);
  expect(await dealt("42")).toEqual(first);
  const again = { id: w.topic, version: 2, body: "Else" };
  expect(await refused(writeTopic, mate, again)).toMatchObject({ kind: "conflict" });
  expect(await refused(addTopics, boss, { projectId: w.projectId, titles: ["Valves"] })).toMatchObject({
    message: expect.stringContaining("a topic of this name"),
  });
});
