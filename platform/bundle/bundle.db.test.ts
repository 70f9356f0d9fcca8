import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import Ajv from "ajv";
import { unzipSync, zipSync } from "fflate";
import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { addPhoto } from "@/stages/builds/commands/builds";
import { scoreAttempt } from "@/stages/contest/commands/attempts";
import { eventsOf } from "@/stages/contest/queries/events";
import { createGuestLink } from "@/stages/people/commands/guests";
import { submitSheet } from "@/stages/reviews/commands/marking";
import { tables } from "@/stages/tables";
import { freshDatabase, ok } from "@/stages/testing/database";
import { inspected } from "@/stages/testing/inspected";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { travels } from "../registry/table";
import { importProject, restoreSchool } from "./bundle";
import { inOrder, referencesOf } from "./catalog";
import { openBundle } from "./open";
import { backupSchool, exportProject } from "./pack";
import { bundleSchema } from "./schema";
import { schemaVersion } from "./version";

let done: () => Promise<void>;

let boss: Extract<Actor, { kind: "person" }>;

let w: World;

let bundle: Uint8Array;

beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
  w = await makeProject(boss, "Pump");
  boss = (await actorOf(boss.id)) as typeof boss;
  await ok(addPhoto, boss, {
    buildId: w.build,
    base64: (
      await sharp({ create: { width: 20, height: 20, channels: 3, background: "#345" } })
        .png()
        .toBuffer()
    ).toString("base64"),
  });
  await ok(createGuestLink, boss, { projectId: w.projectId, role: "reviewer", label: "Panel", days: 3 });
  await ok(submitSheet, boss, { reviewId: w.review, raterName: "x", marks: [{ criterion: "fit", points: "4" }] });
  await inspected(boss, w.build);
  await ok(scoreAttempt, boss, { id: randomUUID(), entryId: w.entry, state: "valid", readings: { m: "8.61" } });
  bundle = await exportProject(tables, w.projectId);
});

afterAll(() => done());

const contents = (b: Uint8Array) =>
  Object.fromEntries(Object.entries(unzipSync(b)).map(([k, v]) => [k, Buffer.from(v).toString("base64")]));

const wipe = () => db().unsafe(`TRUNCATE ${tables.map((t) => t.name).join(", ")}, session_token CASCADE`);

const changed = (change: (parts: Record<string, Uint8Array>) => void) => {
  const parts = unzipSync(bundle);
  change(parts);
  return zipSync(parts);
};

const json = (v: unknown) => new TextEncoder().encode(JSON.stringify(v));

const countAll = async () =>
  (
    await db()<{ n: number }[]>`
      SELECT (
        SELECT count(*) FROM project
      )::int + (SELECT count(*) FROM person)::int + (SELECT count(*) FROM run)::int AS n
    `
  )[0]!.n;

test("every table of the database travels in a backup, but kept values, sign-in and request state", async () => {
  const all = (
    await db()<{ name: string }[]>`
      SELECT relname AS name
      FROM pg_class
      JOIN pg_namespace n ON n.oid = relnamespace
      WHERE nspname = 'public' AND relkind = 'r'
    `
  ).map((r) => r.name);
  expect(all.filter((t) => !tables.some((x) => x.name === t)).sort()).toEqual([
    "build_summary",
    "guess",
    "kept_build",
    "kept_event",
    "known_device",
    "migration",
    "notice_count",
    "passage",
    "request_done",
    "run_value",
    "session_token",
    "verdict",
  ]);
});

test("what is referred to is written first, also where a team and a concept refer to each other", async () => {
  const order = (await inOrder(db(), tables)).map((t) => t.name);
  const early = (await referencesOf(db())).filter(
    (r) => !r.later && r.from !== r.to && order.includes(r.from) && order.indexOf(r.to) > order.indexOf(r.from),
  );
  expect(early).toEqual([]);
  expect([...order].sort()).toEqual(tables.map((t) => t.name).sort());
});

test("no login, password or guest link leaves in a bundle", () => {
  const text = Object.entries(unzipSync(bundle))
    .filter(([k]) => k.endsWith(".json"))
    .map(([, v]) => new TextDecoder().decode(v))
    .join("");
  for (const secret of ["argon2", "mara@hartsedge.example", "secret_hash", "password"])
    expect(text).not.toContain(secret);
});

test("the bundle fits its published schema", async () => {
  const schema = await bundleSchema(tables);
  expect(JSON.parse(readFileSync("docs/bundle.schema.json", "utf8"))).toEqual(JSON.parse(JSON.stringify(schema)));
  const parts = unzipSync(bundle);
  const read = (p: string) => JSON.parse(new TextDecoder().decode(parts[p]));
  const whole = {
    manifest: read("manifest.json"),
    ...Object.fromEntries(tables.filter(travels).map((t) => [t.name, read(`tables/${t.name}.json`)])),
  };
  const ajv = new Ajv({ strict: false, validateFormats: false });
  const fits = ajv.validate(schema, whole);
  expect(ajv.errors ?? []).toEqual([]);
  expect(fits).toBe(true);
});

test("cut short, newer, foreign or inconsistent: refused with what is wrong, and nothing is written", async () => {
  const before = await countAll();
  const cases: [Uint8Array, string][] = [
    [bundle.subarray(0, bundle.length / 2), "not a whole zip"],
    [new TextEncoder().encode("hello"), "not a whole zip"],
    [
      changed((p) => {
        p["manifest.json"] = json({
          ...JSON.parse(new TextDecoder().decode(p["manifest.json"])),
          schemaVersion: schemaVersion + 1,
        });
      }),
      "newer version",
    ],
    [
      changed((p) => {
        p["manifest.json"] = json({ format: "else" });
      }),
      "not an Ironstone bundle",
    ],
    [
      changed((p) => {
        delete p["tables/run.json"];
      }),
      "holds no tables/run.json",
    ],
    [
      changed((p) => {
        p["tables/run.json"] = json([]);
      }),
      "is not whole",
    ],
    [bundle, "is here already"],
  ];
  for (const [bytes, why] of cases) await expect(importProject(tables, bytes, boss.id)).rejects.toThrow(why);
  await wipe();
  const dangling = changed((p) => {
    const rows = JSON.parse(new TextDecoder().decode(p["tables/build.json"]));
    p["tables/build.json"] = json(rows.map((r: { team_id: string }) => ({ ...r, team_id: randomUUID() })));
  });
  await expect(importProject(tables, dangling, null)).rejects.toThrow("does not hold together");
  expect([before > 0, await countAll()]).toEqual([true, 0]);
});

test("what would unfold to more than is taken is refused before anything is unfolded", () => {
  const zeros = zipSync({
    "manifest.json": json({ format: "ironstone" }),
    "tables/run.json": new Uint8Array(2_000_000),
  });
  expect(zeros.length).toBeLessThan(10_000);
  const open = (bytes: number, parts: number) => () => openBundle(tables, zeros, "project", { bytes, parts });
  expect(open(1_000_000, 10)).toThrow("unfolds to more");
  expect(open(3_000_000, 1)).toThrow("unfolds to more");
  expect(open(3_000_000, 10)).not.toThrow("unfolds to more");
});

test("imports into an empty school and exports again to the same content", async () => {
  await wipe();
  await importProject(tables, bundle, null);
  expect(contents(await exportProject(tables, w.projectId))).toEqual(contents(bundle));
  expect((await eventsOf(w.projectId))[0]!.standings[0]).toMatchObject({ name: "Alder", place: 1 });
});

test("a backup restores the whole school, logins too", async () => {
  await wipe();
  const me = await firstInstructor();
  await importProject(tables, bundle, me.id);
  const backup = await backupSchool(tables);
  await wipe();
  await expect(restoreSchool(tables, bundle)).rejects.toThrow("Use import for it");
  await restoreSchool(tables, backup);
  expect(contents(await backupSchool(tables))).toEqual(contents(backup));
  expect(await actorOf(me.id)).toMatchObject({ admin: true, projects: { [w.projectId]: { role: "owner" } } });
  expect(() => openBundle(tables, backup, "project")).toThrow("backup of a whole school");
});

test("a bundle of version 1, without the tables and columns that came later, comes in with those empty", async () => {
  const older = new Set([
    "project",
    "section",
    "project_section",
    "staff",
    "enrolment",
    "person",
    "day_off",
    "milestone",
    "brief_version",
    "brief_reading",
    "requirement",
    "requirement_version",
    "team",
    "membership",
    "concept",
    "draw",
    "build",
    "build_parent",
    "variable_setting",
    "file",
    "file_use",
    "protocol",
    "protocol_version",
    "event",
    "entry",
    "run",
    "reading",
    "evidence",
    "rubric",
    "rubric_version",
    "review",
    "sheet",
    "sheet_mark",
    "action_item",
    "milestone_check",
    "scheme_version",
    "entered_mark",
    "publication",
    "audit",
  ]);
  const newer: Record<string, string[]> = {
    concept: ["dimensions"],
    team: ["concept_id"],
    requirement: ["owner_id"],
    milestone: ["gate_stage"],
    file_use: ["concept_id", "entry_id", "marks"],
    project_section: ["starts_on", "ends_on", "event_on"],
  };
  const v1 = changed((parts) => {
    const read = (p: string) => JSON.parse(new TextDecoder().decode(parts[p]));
    const manifest = read("manifest.json");
    for (const t of tables.filter(travels)) {
      const path = `tables/${t.name}.json`;
      if (!older.has(t.name)) {
        delete parts[path];
        delete manifest.counts[t.name];
      } else if (newer[t.name])
        parts[path] = json(
          read(path).map((r: Record<string, unknown>) =>
            Object.fromEntries(Object.entries(r).filter(([k]) => !newer[t.name]!.includes(k))),
          ),
        );
    }
    parts["manifest.json"] = json({ ...manifest, schemaVersion: 1 });
  });
  await wipe();
  await importProject(tables, v1, null);
  expect((await db()`SELECT dimensions FROM concept`).map((r) => r.dimensions)).toEqual(["", ""]);
  expect((await db()`SELECT FROM question`).length).toBe(0);
  expect((await db()`SELECT FROM run`).length).toBe(1 + 1);
});
