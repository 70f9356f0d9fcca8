import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { createTeam } from "@/stages/teams/commands/teams";
import { ok, refused } from "@/stages/testing/database";
import { slotsTyped, type World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { reviewsOf } from "../queries/reviews";
import { slotPlansOf, slotsOf } from "../queries/slots";
import { slotsCalendar } from "../slots-calendar";
import { planReviews } from "./planning";
import { moveSlot, runSlot, saveSlots, setPanel } from "./slots";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

/** Today, so that the clock runs. */
const day = "2027-03-02";
const typed = () => ({ ...slotsTyped, projectId: w.projectId, title: "Second", days: [{ day, hours: "8:30-9:30" }] });

/** A review of two teams, the first at 8:30 and the second at 8:50. */
async function planned() {
  await ok(planReviews, boss, {
    projectId: w.projectId,
    title: "Second",
    heldOn: "2027-03-09",
    rubricId: w.rubricId,
    teamIds: [w.a, w.b],
  });
  const reviews = (await reviewsOf(w.projectId)).filter((r) => r.title === "Second");
  const at = (i: number, from: string, reviewers: string[]) => ({
    reviewId: reviews[i]!.id,
    day,
    from,
    room: 0,
    reviewers,
  });
  const places = [at(0, "8:30", ["Ida"]), at(1, "8:50", ["Ida", "Ben"])];
  await ok(saveSlots, boss, { ...typed(), teams: [{ reviewId: reviews[0]!.id, hours: ["8:30-9"] }], places });
  return { reviews, places };
}
const slots = async () => (await slotsOf(w.projectId, "Second")).map((s) => ({ ...s, id: s.id as string }));
const seen = async () => (await slots()).map((s) => [s.team, s.starts, s.reviewers.join()]);

test("a kept plan gives each team its place, and moves its review to that day", async () => {
  await planned();
  const teams = (await slots()).map((s) => s.team);
  expect(await seen()).toEqual([
    [teams[0], 510, "Ida"],
    [teams[1], 530, "Ida,Ben"],
  ]);
  expect((await reviewsOf(w.projectId)).filter((r) => r.title === "Second").map((r) => r.heldOn)).toEqual([day, day]);
});

test("a place, a reviewer and a review of no plan are refused, two teams in one place too", async () => {
  const { places } = await planned();
  const wrong = async (more: object[]) =>
    ((await refused(saveSlots, boss, { ...typed(), version: 1, teams: [], places: more })) as { message: string })
      .message;
  expect(await wrong([{ ...places[0], from: "8:40" }])).toMatch("none of the plan's times");
  expect(await wrong([{ ...places[0], room: 1 }])).toMatch("none of the plan's times");
  expect(await wrong([places[0]!, { ...places[1], from: "8:30" }])).toMatch("same time and room");
  expect(await wrong([{ ...places[0], reviewers: ["Zoe"] }])).toMatch("Zoe is none of the reviewers");
  expect(await wrong([{ ...places[0], reviewId: w.review }])).toMatch("called off meanwhile");
});

test("hours that cannot be read are refused at their field", async () => {
  await planned();
  expect(
    await refused(saveSlots, boss, { ...typed(), version: 1, days: [{ day, hours: "9-8" }], teams: [], places: [] }),
  ).toMatchObject({ fields: { "days[0].hours": expect.stringContaining("ends before it begins") } });
  expect(await refused(saveSlots, boss, { ...typed(), version: 1, most: 0, teams: [], places: [] })).toMatchObject({
    fields: { most: expect.stringContaining("At least as many") },
  });
});

test("a team that is moved to another's place changes with it, and reviewers stay where they are", async () => {
  await planned();
  const [one, two] = await slots();
  const move = { id: one!.id, version: one!.version, day, from: "8:50", room: 0 };
  expect(await ok(moveSlot, boss, move)).toEqual({ swapped: two!.team });
  expect(await seen()).toEqual([
    [two!.team, 510, "Ida"],
    [one!.team, 530, "Ida,Ben"],
  ]);
  // A stale tab.
  expect(await execute(moveSlot, boss, move)).toMatchObject({ ok: false, kind: "conflict" });
});

test("a team that is moved to a free place takes its reviewers along; a time of no plan is refused", async () => {
  await planned();
  const [one] = await slots();
  const move = { id: one!.id, version: one!.version, day, from: "9:10", room: 0 };
  expect(await refused(moveSlot, boss, { ...move, from: "9:15" })).toMatchObject({
    fields: { from: expect.stringContaining("none of the plan's times") },
  });
  expect(await ok(moveSlot, boss, move)).toEqual({ swapped: null });
  expect(await seen()).toContainEqual([one!.team, 550, "Ida"]);
});

test("the clock: one review at a time in a room, taken back if begun too soon; what has begun stays", async () => {
  await planned();
  const [one, two] = await slots();
  expect(await execute(runSlot, boss, { id: w.slot, version: 1, step: "begin" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("on 2027-02-25, not today"),
  });
  const step = async (which: { id: string }, name: string) => {
    const version = (await slots()).find((s) => s.id === which.id)!.version;
    return execute(runSlot, boss, { id: which.id, version, step: name });
  };
  expect(await step(one!, "end")).toMatchObject({ ok: false, message: expect.stringContaining("is to come already") });
  expect(await step(one!, "begin")).toMatchObject({ ok: true });
  expect(await step(two!, "begin")).toMatchObject({
    ok: false,
    message: expect.stringContaining("is on in this room"),
  });
  const now = (await slots()).find((s) => s.id === one!.id)!;
  expect(now.began).not.toBeNull();
  expect(
    await refused(moveSlot, boss, { id: one!.id, version: now.version, day, from: "9:10", room: 0 }),
  ).toMatchObject({ message: expect.stringContaining("has begun") });
  expect(await refused(saveSlots, boss, { ...typed(), version: 1, teams: [], places: [] })).toMatchObject({
    message: expect.stringContaining("have begun"),
  });
  expect(await step(one!, "end")).toMatchObject({ ok: true });
  expect(await step(one!, "back")).toMatchObject({ ok: true });
  expect(await step(one!, "back")).toMatchObject({ ok: true });
  expect((await slots()).find((s) => s.id === one!.id)).toMatchObject({ began: null, ended: null });
});

test("reviewers are set by hand, among those of the plan", async () => {
  await planned();
  const [one] = await slots();
  await ok(setPanel, boss, { id: one!.id, version: 1, reviewers: ["Ben"] });
  expect((await slots())[0]!.reviewers).toEqual(["Ben"]);
  expect(await refused(setPanel, boss, { id: one!.id, version: 2, reviewers: ["Zoe"] })).toMatchObject({
    fields: { reviewers: expect.stringContaining("none of the plan's reviewers") },
  });
});

test("planned anew, the plan of an older tab is a conflict; a team that joins later has no place", async () => {
  const { places } = await planned();
  await ok(saveSlots, boss, { ...typed(), version: 1, teams: [], places: places.slice(0, 1) });
  expect((await slots()).map((s) => s.starts)).toEqual([510, null]);
  expect(await execute(saveSlots, boss, { ...typed(), version: 1, teams: [], places })).toMatchObject({
    ok: false,
    kind: "conflict",
  });
  const team = await ok(createTeam, boss, { projectId: w.projectId, name: "Late" });
  await ok(planReviews, boss, {
    projectId: w.projectId,
    title: "Second",
    heldOn: day,
    rubricId: w.rubricId,
    teamIds: [team.id],
  });
  expect(await slots()).toHaveLength(2);
  expect((await slotPlansOf(w.projectId)).map((p) => p.title)).toEqual(["First review", "Second"]);
});

test("the calendar holds everybody's slots, or one reviewer's, with room and end", async () => {
  await planned();
  const all = (await slotsCalendar({ id: w.projectId }, "Second", null))!;
  expect(all.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  expect(all).toContain("DTSTART:20270302T083000");
  expect(all).toContain("LOCATION:Workshop");
  expect((await slotsCalendar({ id: w.projectId }, "Second", "Ben"))!.match(/BEGIN:VEVENT/g)).toHaveLength(1);
  expect(await slotsCalendar({ id: w.projectId }, "Third", null)).toBeNull();
});
