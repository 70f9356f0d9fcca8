// What is kept of the earlier editions: models on the shelf, awards as they were given, and how the best is made again.
import { randomUUID } from "node:crypto";
import { addDays } from "@/core/sessions/date";
import { addPhoto } from "@/stages/builds/commands/builds";
import { savePartLine } from "@/stages/builds/commands/parts";
import { lendArtefact, returnArtefact, saveArtefact, scrapArtefact } from "@/stages/records/commands/artefacts";
import { saveGuide, saveGuideStep } from "@/stages/records/commands/guides";
import { giveHonours, saveHonour } from "@/stages/records/commands/honours";
import { sketch } from "./helpers";
import { at, clock, run } from "./run";

const shelve = async (owner: string, projectId: string, of: object): Promise<string> =>
  (await run(saveArtefact, owner, { projectId, id: randomUUID(), ...of })).id;

const lend = async (owner: string, artefactId: string, lentTo: string, dueOn: string): Promise<string> =>
  (await run(lendArtefact, owner, { id: randomUUID(), artefactId, lentTo, dueOn })).id;

/** Of the first edition: two models, one scrapped since, and its awards. */
export async function keepOfFirst(
  owner: string,
  projectId: string,
  builds: ReadonlyMap<string, string>,
  day: string,
): Promise<void> {
  await at(addDays(day, 3), 9);
  await run(giveHonours, owner, { projectId });
  await shelve(owner, projectId, {
    buildId: builds.get("Bellows"),
    name: "Bellows, the first winner",
    place: "Cabinet 2, bottom shelf",
    note: "Look at the leather cup: two years old, and stiff.",
  });
  const crank = await shelve(owner, projectId, { buildId: builds.get("Crank"), name: "Crank", place: "Cabinet 2" });
  await at(addDays(day, 300), 9);
  await run(scrapArtefact, owner, { id: crank, version: 1, why: "Taken apart for its bolts and its marble" });
}

/** The parts of the best pump of last year and a photo of it, before its project is finished: their ids by name. */
export async function partsOfBest(owner: string, buildId: string): Promise<Map<string, string>> {
  const parts = [
    ["Tube 40 mm", 1, "310 g", "6.20", "bought"],
    ["Piston", 1, "85 g", "2.40", "made"],
    ["Leather cup", 1, "12 g", "1.10", "made"],
    ["Flap valve", 2, "9 g", "0.60", "made"],
    ["Guide", 2, "40 g", "1.50", "made"],
    ["Lever", 1, "1.9 kg", "4.80", "made"],
    ["Bolt M6", 4, "14 g", "0.35", "bought"],
    ["Base board", 1, "2.4 kg", "5.00", "made"],
  ] as const;
  const ids = new Map<string, string>();
  for (const [name, count, mass, cost, source] of parts)
    ids.set(name, (await run(savePartLine, owner, { buildId, name, count, mass, cost, source })).id);
  const photo = await run(addPhoto, owner, {
    buildId,
    caption: "Guided rod, from the left",
    base64: await sketch("Adze G3", 30),
  });
  return ids.set("photo", photo.id);
}

/** Of last year: what stands on the shelf, who has it, the awards, and a guide to the best pump. */
export async function keepOfLast(
  owner: string,
  projectId: string,
  /** Its newest build and its team, by the team's name. */
  of: ReadonlyMap<string, { readonly team: string; readonly build: string }>,
  parts: ReadonlyMap<string, string>,
  day: string,
): Promise<void> {
  await at(addDays(day, 4), 9);
  await run(giveHonours, owner, { projectId });
  const best = of.get("Adze")!.build;
  await run(saveHonour, owner, {
    id: randomUUID(),
    projectId,
    teamId: of.get("Delta")!.team,
    title: "Most telling failure",
    says: "Six builds, and what each of them taught",
    engraved: "Delta · six builds that taught us",
    givenOn: day,
  });
  const shelf = await shelve(owner, projectId, {
    buildId: best,
    name: "Adze, guided rod",
    place: "Cabinet 1, top shelf",
    note: "The guide is what the next class should copy.",
  });
  await shelve(owner, projectId, {
    buildId: of.get("Delta")!.build,
    name: "Delta's last rig",
    place: "Cabinet 1, middle shelf",
    note: "Ball valve and long stroke: compare with the flap beside it.",
  });
  const valves = await shelve(owner, projectId, { name: "Board of nine valves", place: "Cabinet 1, middle shelf" });
  await at(addDays(clock.today, -60), 9);
  const loan = await lend(owner, valves, "Science department", addDays(clock.today, -40));
  await at(addDays(clock.today, -41), 9);
  await run(returnArtefact, owner, { id: loan, version: 1, back: true });
  await at(addDays(clock.today, -20), 9);
  await lend(owner, shelf, "The garden, for its open day", addDays(clock.today, -3));
  await at(addDays(day, 6), 10);
  const guideId = randomUUID();
  await run(saveGuide, owner, {
    id: guideId,
    buildId: best,
    title: "Adze's pump with the guided rod",
    intro: "Last year's best flow. Two people make it in four class sessions; then change what you want to improve.",
    datum: "the front left corner of the base board",
    cautions:
      "Drill and knife only with your tool sign-off; eyes protected.\n" +
      "Clamp the tube before it is cut; the edge is sharp until it is sanded.\n" +
      "Ask the instructor before the first drilling. The school's workshop rules come first.",
  });
  const steps = [
    ["Cut the base board to 560 × 180 mm and sand its edges.", "Base board", 1, "0 × 0 × 0 mm", ""],
    [
      "Stand the tube on the board and clamp it.",
      "Tube 40 mm",
      1,
      "120 × 90 × 18 mm",
      "The cut edge is sharp: sand it.",
    ],
    ["Glue one flap at the foot of the tube.", "Flap valve", 1, "120 × 90 × 20 mm", "Hot glue burns for a minute."],
    ["Soak the leather cup, press it on the piston, and let it dry there.", "Leather cup", 1, "", ""],
    ["Fit the second flap into the piston.", "Flap valve", 1, "", ""],
    ["Put the piston into the tube.", "Piston", 1, "120 × 90 × 260 mm", ""],
    ["Screw the two guides above the tube, in one line with it.", "Guide", 2, "120 × 90 × 420 mm", ""],
    [
      "Bolt the lever to its post; a lock nut on each bolt.",
      "Lever",
      1,
      "420 × 90 × 430 mm",
      "Fingers clear of the pivot.",
    ],
    ["Tighten the bolts, and mark them so that one sees them turn.", "Bolt M6", 3, "420 × 60 × 430 mm", ""],
  ] as const;
  for (const [what, part, count, place, caution] of steps)
    await run(saveGuideStep, owner, {
      id: randomUUID(),
      guideId,
      what,
      partId: parts.get(part),
      count,
      at: place,
      caution,
      photoId: part === "Guide" ? parts.get("photo") : undefined,
    });
}
