// What is kept when a project is over: models and loans, guides and their pictures, awards as they are given.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { addPhoto } from "@/stages/builds/commands/builds";
import { savePartLine } from "@/stages/builds/commands/parts";
import { createEdition, finishProject } from "@/stages/records/commands/editions";
import { ok, refused } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { honoursOf } from "../queries/honours";
import { guideReaders, guideWhole, keptModels } from "../queries/kept";
import { lendArtefact, returnArtefact, saveArtefact, scrapArtefact } from "./artefacts";
import { moveGuideStep, saveGuide, saveGuideStep } from "./guides";
import { giveHonours, saveHonour } from "./honours";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
beforeAll(async () => {
  ({ done, boss, w } = await openClass());
});
afterAll(() => done());

const model = async () => (await keptModels([w.projectId])).find((m) => m.id === w.model)!;

describe("kept models", () => {
  test("what is lent is neither lent again nor scrapped; once it is back it is", async () => {
    expect(
      await refused(lendArtefact, boss, { id: randomUUID(), artefactId: w.model, lentTo: "Library" }),
    ).toMatchObject({
      message: "This model is lent already. Note first that it is back.",
    });
    expect(await refused(scrapArtefact, boss, { id: w.model, version: 1, why: "Broken" })).toMatchObject({
      message: "Pump A is lent. Note first that it is back.",
    });
    await ok(returnArtefact, boss, { id: w.loan, version: 1, back: true });
    expect(await refused(scrapArtefact, boss, { id: w.model, version: 1, why: " " })).toMatchObject({
      fields: { why: expect.stringContaining("what became of it") },
    });
    await ok(scrapArtefact, boss, { id: w.model, version: 1, why: "Broken" });
    expect(
      await refused(lendArtefact, boss, { id: randomUUID(), artefactId: w.model, lentTo: "Library" }),
    ).toMatchObject({
      message: expect.stringContaining("was scrapped on"),
    });
    await ok(scrapArtefact, boss, { id: w.model, version: 2, why: "" });
    expect(await model()).toMatchObject({ scrappedOn: null, scrappedWhy: "" });
  });

  test("sent twice it is one; a stale correction is said, and what was typed is kept by the form", async () => {
    const id = randomUUID();
    const one = { projectId: w.projectId, id, name: "Valve board", place: "Shelf 2" };
    await ok(saveArtefact, boss, one);
    await ok(saveArtefact, boss, one);
    expect((await keptModels([w.projectId])).filter((m) => m.name === "Valve board")).toHaveLength(1);
    await ok(saveArtefact, boss, { ...one, version: 1, place: "Shelf 3" });
    expect(await refused(saveArtefact, boss, { ...one, version: 1, place: "Shelf 4" })).toMatchObject({
      kind: "conflict",
    });
  });

  test("a build of another project is none of it", async () => {
    const input = { projectId: w.projectId, id: randomUUID(), buildId: randomUUID(), name: "X" };
    expect(await refused(saveArtefact, boss, input)).toMatchObject({
      fields: { buildId: "This build is not of the project." },
    });
  });
});

describe("build guides", () => {
  test("a draft has a step for each part, in the list's order; sent twice it is one", async () => {
    await ok(savePartLine, boss, { buildId: w.otherBuild, name: "Leg", count: 4 });
    await ok(savePartLine, boss, { buildId: w.otherBuild, name: "Top", count: 1 });
    const id = randomUUID();
    const input = { id, buildId: w.otherBuild, title: "Stand", draft: true };
    await ok(saveGuide, boss, input);
    await ok(saveGuide, boss, input);
    const whole = (await guideWhole([w.projectId], id))!;
    expect(whole.steps.map((s) => [s.what, s.count])).toEqual([
      ["Fit the Leg", 4],
      ["Fit the Top", 1],
    ]);
  });

  test("steps move by one, and not beyond the ends", async () => {
    const order = async () => (await guideWhole([w.projectId], w.guide))!.steps.map((s) => s.what);
    expect(await refused(moveGuideStep, boss, { id: w.step, up: true })).toMatchObject({
      message: "It is the first step.",
    });
    await ok(moveGuideStep, boss, { id: w.step, up: false });
    expect(await order()).toEqual(["Glue the foot", "Cut the tube"]);
    expect(await refused(moveGuideStep, boss, { id: w.step, up: false })).toMatchObject({
      message: "It is the last step.",
    });
    await ok(moveGuideStep, boss, { id: w.step, up: true });
    expect(await order()).toEqual(["Cut the tube", "Glue the foot"]);
  });

  test("a place is kept in metres and as it was typed; a part and a picture of another build are refused", async () => {
    const step = { id: w.step, guideId: w.guide, version: 1, what: "Cut the tube", at: "12 × 9 × 40 cm" };
    await ok(saveGuideStep, boss, step);
    const [s] = (await guideWhole([w.projectId], w.guide))!.steps;
    expect([s!.at!.map(Number), s!.atEntered]).toEqual([[0.12, 0.09, 0.4], "12 × 9 × 40 cm"]);
    const { id: photoId } = await ok(addPhoto, boss, { buildId: w.otherBuild, base64: await picture("#456") });
    expect(await refused(saveGuideStep, boss, { ...step, version: 2, photoId })).toMatchObject({
      fields: { photoId: "This picture is not of the build." },
    });
    expect(await refused(saveGuideStep, boss, { ...step, version: 2, partId: randomUUID() })).toMatchObject({
      fields: { partId: "This part is not in the build's parts list." },
    });
  });
});

describe("awards", () => {
  test("they are not given while an event is open; one of the class's own is", async () => {
    expect(await refused(giveHonours, boss, { projectId: w.projectId })).toMatchObject({
      message: expect.stringContaining("Until then the places may change."),
    });
    const own = { projectId: w.projectId, id: randomUUID(), teamId: w.b, title: "Bravest", engraved: "B" };
    await ok(saveHonour, boss, { ...own, givenOn: "2027-03-02" });
    const twice = { ...own, id: randomUUID(), givenOn: "2027-03-02" };
    expect(await refused(saveHonour, boss, twice)).toMatchObject({
      message: "This team has an award of this name already.",
    });
    const given = await honoursOf([w.projectId]);
    expect(given.map((h) => [h.title, h.kind, h.team])).toEqual(
      expect.arrayContaining([
        ["Bravest", null, "Bramble"],
        ["Bravest design", null, "Alder"],
      ]),
    );
  });
});

describe("when the project is over", () => {
  test("a class of the next edition sees the pictures of its guides, and of no other build", async () => {
    const [shown, other] = [
      await ok(addPhoto, boss, { buildId: w.build, base64: await picture("#123") }),
      await ok(addPhoto, boss, { buildId: w.build, base64: await picture("#321") }),
    ];
    const step = { id: w.second, guideId: w.guide, version: 1, what: "Glue the foot", photoId: shown.id };
    await ok(saveGuideStep, boss, step);
    expect(await guideReaders(shown.id)).toEqual([]);
    await ok(finishProject, boss, { projectId: w.projectId });
    const { projectId } = await ok(createEdition, boss, {
      projectId: w.projectId,
      title: "Again",
      startsOn: "2028-01-10",
      endsOn: "2028-03-20",
      parts: [],
    });
    expect(await guideReaders(shown.id)).toEqual([projectId]);
    expect(await guideReaders(other.id)).toEqual([]);
  });

  test("models are lent and awards are given still", async () => {
    await ok(lendArtefact, boss, { id: randomUUID(), artefactId: w.model, lentTo: "The garden" });
    const [event] = await db()<{ state: string }[]>`SELECT state FROM event WHERE id = ${w.event}`;
    expect(event!.state).not.toBe("confirmed");
    await db()`UPDATE event SET state = 'confirmed' WHERE project_id = ${w.projectId}`;
    const { given } = await ok(giveHonours, boss, { projectId: w.projectId });
    expect(given).toBeGreaterThan(0);
    expect(await refused(giveHonours, boss, { projectId: w.projectId })).toMatchObject({
      message: "Every award that the contest gives is given.",
    });
  });
});
