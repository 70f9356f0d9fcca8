// What another school gets: the record of a project, and no student's name anywhere in it.
import { unzipSync } from "fflate";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { addPhoto, saveBuild } from "@/stages/builds/commands/builds";
import { saveGuideStep } from "@/stages/records/commands/guides";
import { buildBests } from "@/stages/records/queries/board";
import { guideWhole } from "@/stages/records/queries/kept";
import { tables } from "@/stages/tables";
import { freshDatabase, ok } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { emptySchool, importProject } from "./bundle";
import { exportForSchool } from "./exchange";
import { exportProject } from "./pack";

let done: () => Promise<void>;
let w: World;
let name: string;
let photo: string;
beforeAll(async () => {
  done = await freshDatabase();
  let boss: Actor = await firstInstructor();
  w = await makeProject(boss as Extract<Actor, { kind: "person" }>, "Pump");
  boss = (await actorOf((boss as { id: string }).id))!;
  name = w.names[0]!;
  const mate = (await actorOf(w.students[0]!))!;
  await ok(saveBuild, mate, {
    teamId: w.a,
    stage: "prototype",
    builtOn: "2027-03-01",
    whatChanged: `${name} made the rod; ${name.split(" ")[0]}'s idea`,
    variables: "stroke = 0.25 m",
    features: "guided rod",
  });
  ({ id: photo } = await ok(addPhoto, boss, { buildId: w.build, caption: `By ${name}`, base64: await picture() }));
  await ok(saveGuideStep, boss, { id: w.step, guideId: w.guide, version: 1, what: "Cut it", photoId: photo });
});
afterAll(() => done());

const texts = (bundle: Uint8Array) =>
  Object.entries(unzipSync(bundle))
    .filter(([path]) => path.endsWith(".json"))
    .map(([path, bytes]) => ({ path, text: new TextDecoder().decode(bytes) }));

const files = (bundle: Uint8Array) => Object.keys(unzipSync(bundle)).filter((p) => p.startsWith("files/"));

const rowsOf = (bundle: Uint8Array, table: string): unknown[] =>
  JSON.parse(texts(bundle).find((t) => t.path === `tables/${table}.json`)!.text);

test("no student is named in it, by whole name or by a part of it; the whole bundle names them", async () => {
  const whole = texts(await exportProject(tables, w.projectId));
  expect(whole.some((t) => t.text.includes(name))).toBe(true);
  for (const pictures of [false, true]) {
    const bundle = texts(await exportForSchool(tables, w.projectId, pictures));
    const words = w.names.flatMap((n) => [n, ...n.split(" ").filter((p) => p.length > 2)]);
    for (const { path, text } of bundle)
      for (const word of words)
        expect([path, word, new RegExp(`(?<![\\p{L}\\p{N}])${word}(?![\\p{L}\\p{N}])`, "u").test(text)]).toEqual([
          path,
          word,
          false,
        ]);
    for (const id of w.students) expect(bundle.filter((t) => t.text.includes(id))).toEqual([]);
  }
});

test.each([
  "person",
  "enrolment",
  "membership",
  "notebook_entry",
  "sheet",
  "publication",
  "tool_sign_off",
  "attendance",
  "audit",
  "artefact_loan",
])("nothing of %s goes along", async (table) => {
  const bundle = await exportForSchool(tables, w.projectId, true);
  const found = texts(bundle).find((t) => t.path === `tables/${table}.json`);
  expect(found ? JSON.parse(found.text) : []).toEqual([]);
});

test("pictures of builds go along only where they are wanted, and of nothing else", async () => {
  expect(files(await exportForSchool(tables, w.projectId, false))).toEqual([]);
  const bundle = await exportForSchool(tables, w.projectId, true);
  expect(rowsOf(bundle, "file_use").map((u) => (u as { id: string }).id)).toEqual([photo]);
  expect(files(bundle)).toHaveLength(1);
});

test("it does not count as the copy that must be saved before a project is deleted", async () => {
  await exportForSchool(tables, w.projectId, false);
  const [p] = await db()`SELECT bundled_at FROM project WHERE id = ${w.projectId}`;
  expect(p!.bundledAt).toBeNull();
});

test("another school takes it in, with the bests and the guide as they were", async () => {
  const line = [{ protocol: "Lift test", key: "Q", better: "more" as const }];
  const [protocol] = await db()<{ name: string }[]>`SELECT name FROM protocol WHERE id = ${w.protocol}`;
  const asked = line.map((l) => ({ ...l, protocol: protocol!.name }));
  const before = await buildBests([w.projectId], asked);
  const bundle = await exportForSchool(tables, w.projectId, true);
  await db().begin((sql) => emptySchool(sql as never, tables));
  const other = await firstInstructor();
  await importProject(tables, bundle, other.id);
  const after = await buildBests([w.projectId], asked);
  expect(before.length).toBeGreaterThan(0);
  expect(after.map((b) => [b.team, b.number, b.value])).toEqual(before.map((b) => [b.team, b.number, b.value]));
  const guide = await guideWhole([w.projectId], w.guide);
  expect(guide!.steps.map((s) => s.what)).toEqual(["Cut it", "Glue the foot"]);
  expect(guide!.steps[0]!.photoId).toBe(photo);
});
