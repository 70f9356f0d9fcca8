// What failed, what a build is made of and what it was made from, against the database.
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { openActionsOf } from "@/stages/reviews/queries/reviews";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { flagsWaiting } from "@/stages/today/queries/flags";
import { buildById, buildsBefore } from "../queries/builds";
import { causesOver, failuresOf } from "../queries/failures";
import { partsOf } from "../queries/parts";
import { withdrawFailure } from "../withdrawals";
import { saveBuild } from "./builds";
import { closeFailure, saveFailure } from "./failures";
import { copyPartLines, savePartLine } from "./parts";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let other: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, mate, other, w } = await openClass());
});
afterAll(() => done());

const next = (more: object = {}) =>
  ok(saveBuild, mate, { teamId: w.a, stage: "prototype", builtOn: "2027-03-01", whatChanged: "A brace", ...more });

test("a failure is open until a build answers it, and is passed over when a later one does not", async () => {
  const failed = await ok(saveFailure, mate, {
    buildId: w.build,
    mode: "The lever split",
    cause: "Rust",
    severity: "stop",
    nextStep: "A brace",
  });
  const mine = async () => (await failuresOf(w.projectId)).find((f) => f.id === failed.id)!;
  expect(await mine()).toMatchObject({ cause: "rust", answeredBy: null, version: 1 });
  const g2 = await next();
  const says = async () => (await flagsWaiting([w.projectId], "2027-03-01")).find((x) => x.who === "Alder")?.what;
  expect(await says()).toContain("2 failures not answered by the build that followed");
  const g3 = await next({ closes: [failed.id] });
  expect(await mine()).toMatchObject({ closedBy: g3.id, version: 2 });
  expect(await says()).toContain("1 failure not answered by the build that followed");
  expect(await refused(closeFailure, mate, { id: failed.id, version: 1, closedBy: g2.id })).toMatchObject({
    kind: "conflict",
  });
  await ok(closeFailure, mate, { id: failed.id, version: 2 });
  expect((await mine()).closedBy).toBeNull();
  expect(await refused(closeFailure, boss, { id: failed.id, version: 3, closedBy: w.otherBuild })).toMatchObject({
    message: "A build of the same team answers it.",
  });
  expect((await causesOver(w.projectId)).map((c) => [c.cause, c.failures, c.answered]).sort()).toEqual([
    ["", 1, 0],
    ["rust", 1, 0],
  ]);
  await ok(withdrawFailure, mate, { id: failed.id });
  expect((await failuresOf(w.projectId)).filter((f) => f.buildId === w.build).map((f) => f.id)).toEqual([w.failure]);
});

test("a pin without its photo is not kept, and another build's photo takes none", async () => {
  const { id } = await ok(saveFailure, mate, {
    buildId: w.build,
    mode: "A crack",
    severity: "blemish",
    pinX: 0.5,
    pinY: 0.5,
  });
  expect((await failuresOf(w.projectId)).find((f) => f.id === id)).toMatchObject({
    pinX: null,
    photoId: null,
  });
  const message = (
    await refused(saveFailure, mate, {
      buildId: w.build,
      mode: "A crack",
      severity: "blemish",
      photoId: w.otherBuild,
      pinX: 0.5,
      pinY: 0.5,
    })
  ).message;
  expect(message).toContain("The photo with the pin");
});

test("a build is made from several, and never from what was made from it", async () => {
  const merged = await next({ parentIds: [w.build, w.otherBuild, w.build] });
  expect((await buildById(w.projectId, merged.id))!.parents.sort()).toEqual([w.build, w.otherBuild].sort());
  const first = (await buildById(w.projectId, w.build))!;
  const again = { teamId: w.a, id: w.build, stage: first.stage, builtOn: first.builtOn, whatChanged: "x" };
  expect(await refused(saveBuild, mate, { ...again, version: first.version, parentIds: [merged.id] })).toMatchObject({
    message: "A build cannot be made from one that was made from it.",
  });
  const far = await next({ parentIds: [merged.id] });
  expect((await refused(saveBuild, mate, { ...again, version: first.version, parentIds: [far.id] })).message).toContain(
    "made from one that was made from it",
  );
  expect((await refused(saveBuild, mate, { ...again, version: first.version, parentIds: [w.run] })).message).toContain(
    "not in this project",
  );
});

test("what it does without is kept with the reason, and read as typed", async () => {
  const { id } = await next({ features: "hose", dropped: "lid: leaks: after an hour\nflap: sticks" });
  expect((await buildById(w.projectId, id))!.dropped).toEqual({ lid: "leaks: after an hour", flap: "sticks" });
  expect(
    await refused(saveBuild, mate, {
      teamId: w.a,
      stage: "final",
      builtOn: "2027-03-01",
      whatChanged: "x",
      dropped: "lid",
    }),
  ).toMatchObject({
    fields: { dropped: expect.stringContaining("with its reason") },
  });
});

describe("a parts list", () => {
  test("keeps what was typed beside the exact value, refuses what cannot be, and one name once", async () => {
    await ok(savePartLine, mate, { buildId: w.build, name: "Lever", count: 1, mass: "8 oz", cost: "$2.50" });
    const lever = (await partsOf(w.build)).find((p) => p.name === "Lever")!;
    expect([Number(lever.mass), Number(lever.cost), lever.entered]).toEqual([
      0.226796185,
      2.5,
      { mass: "8 oz", cost: "$2.50" },
    ]);
    const again = { buildId: w.build, name: "lever", count: 1 };
    expect((await refused(savePartLine, mate, again)).message).toContain("part of this name in the list");
    expect(await refused(savePartLine, mate, { ...again, name: "x", mass: "-1 kg" })).toMatchObject({
      fields: { mass: "This cannot be below zero." },
    });
    expect(await refused(savePartLine, mate, { ...again, name: "x", mass: "heavy" })).toMatchObject({
      fields: { mass: expect.any(String) },
    });
    expect((await refused(savePartLine, other, { ...again, name: "x" })).kind).toBe("forbidden");
  });
  test("is taken over from another build without doubling what is there", async () => {
    const { id } = await next();
    await ok(savePartLine, mate, { buildId: id, name: "DRUM", count: 5 });
    expect(await ok(copyPartLines, mate, { buildId: id, fromId: w.build })).toEqual({ copied: 1 });
    expect((await partsOf(id)).map((p) => [p.name, p.count])).toEqual([
      ["DRUM", 5],
      ["Lever", 1],
    ]);
    expect(await ok(copyPartLines, mate, { buildId: id, fromId: w.build })).toEqual({ copied: 0 });
    expect((await refused(copyPartLines, mate, { buildId: id, fromId: id })).message).toContain("The other build");
  });
});

test("what a review decided is closed by the build that carries it out, and said of one that does not", async () => {
  await db()`UPDATE review SET held_on = '2027-01-20' WHERE id = ${w.review}`;
  await db()`UPDATE action_item SET due_on = '2027-06-01', what = 'Lighter lever' WHERE id = ${w.action}`;
  const says = async () => (await flagsWaiting([w.projectId], "2027-03-01")).find((x) => x.who === "Alder")?.what ?? "";
  const open = async () => (await openActionsOf(w.a)).map((a) => a.what);
  await next();
  expect(await says()).toContain("decided in a review and not carried to the next build: “Lighter lever”");
  expect(await open()).toEqual(["Lighter lever"]);
  const { number } = await next({ whatChanged: "A hollow lever", carries: [w.action] });
  expect(await says()).not.toContain("decided in a review");
  expect(await open()).toEqual([]);
  const [closed] = await db()`SELECT closing_evidence, closed_by FROM action_item WHERE id = ${w.action}`;
  expect(closed).toEqual({ closingEvidence: `G${number}: A hollow lever`, closedBy: (mate as { name: string }).name });
});

test("a build closes no other team's actions", async () => {
  await db()`
    UPDATE action_item
    SET team_id = ${w.b}, closed_at = NULL, closed_by = NULL, closing_evidence = NULL
    WHERE id = ${w.action}
  `;
  await next({ carries: [w.action] });
  expect((await openActionsOf(w.b)).length).toBe(1);
});

test("a generation is made alone by somebody of the team, and from a build of the edition before or none", async () => {
  const build = { teamId: w.a, stage: "mock-up", builtOn: "2027-03-02", whatChanged: "Alone" };
  const { id } = await ok(saveBuild, mate, { ...build, makerId: w.students[0] });
  expect(await buildById(w.projectId, id)).toMatchObject({ makerId: w.students[0], maker: w.names[0], ancestor: null });
  const wrong = async (more: object) => refused(saveBuild, mate, { ...build, ...more });
  expect(await wrong({ makerId: w.students[1] })).toMatchObject({
    fields: { makerId: expect.stringContaining("team") },
  });
  expect(await wrong({ fromEdition: w.build })).toMatchObject({ fields: { fromEdition: expect.any(String) } });
  const earlier = await makeProject(boss, "Edition before");
  await db()`UPDATE project SET edition_of = ${earlier.projectId} WHERE id = ${w.projectId}`;
  const before = await buildsBefore(w.projectId);
  expect(before.map((b) => b.id).sort()).toEqual([earlier.build, earlier.otherBuild].sort());
  expect(before.find((b) => b.id === earlier.build)).toMatchObject({ edition: "Edition before" });
  const next = await ok(saveBuild, mate, { ...build, fromEdition: earlier.build });
  expect((await buildById(w.projectId, next.id))!.ancestor).toMatchObject({ id: earlier.build, slug: earlier.slug });
});
