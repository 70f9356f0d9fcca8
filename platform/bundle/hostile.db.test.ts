// A bundle made to take something over: each change of a good one is refused, or opens nothing.
import { createHash, randomUUID } from "node:crypto";
import { unzipSync, zipSync } from "fflate";
import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { actorOf } from "@/platform/sign-in/actors";
import { addPhoto } from "@/stages/builds/commands/builds";
import { giveLogin } from "@/stages/people/commands/logins";
import { tables } from "@/stages/tables";
import { freshDatabase, ok } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { makeProject, type World } from "@/stages/testing/world";
import { importProject } from "./bundle";
import { checkBackup } from "./check";
import { backupSchool, exportProject } from "./pack";

type Rows = Record<string, unknown>[];
type Parts = Record<string, Uint8Array>;

let done: () => Promise<void>;
let stranger: Extract<Actor, { kind: "person" }>;
let home: World;
let bundle: Uint8Array;

const rowsIn = (parts: Parts, table: string) =>
  JSON.parse(new TextDecoder().decode(parts[`tables/${table}.json`])) as Rows;
const encode = (v: unknown) => new TextEncoder().encode(JSON.stringify(v));

/** The good bundle with one table's rows changed; the manifest counts what is there. */
function changed(table: string, change: (rows: Rows) => Rows, also: (parts: Parts) => void = () => {}): Uint8Array {
  const parts = unzipSync(bundle);
  const rows = change(rowsIn(parts, table));
  parts[`tables/${table}.json`] = encode(rows);
  const manifest = JSON.parse(new TextDecoder().decode(parts["manifest.json"]));
  manifest.counts[table] = rows.length;
  parts["manifest.json"] = encode(manifest);
  also(parts);
  return zipSync(parts);
}

beforeAll(async () => {
  done = await freshDatabase();
  const author = await firstInstructor();
  const theirs = await makeProject(author, "Theirs");
  const png = await sharp({ create: { width: 9, height: 9, channels: 3, background: "#345" } })
    .png()
    .toBuffer();
  await ok(addPhoto, await actorOf(author.id), { buildId: theirs.build, base64: png.toString("base64") });
  await db()`UPDATE reading SET value = 0.123456789012345678`;
  bundle = await exportProject(tables, theirs.projectId);
  await db().unsafe(`TRUNCATE ${tables.map((t) => t.name).join(", ")} CASCADE`);
  home = await makeProject(await firstInstructor(), "Home");
  const outsider = randomUUID();
  await db()`INSERT INTO person (id, name, email, instructor) VALUES (${outsider}, 'Out', 'out@s.example', true)`;
  stranger = (await actorOf(outsider)) as typeof stranger;
});
afterAll(() => done());

const everything = async () => Buffer.from(await backupSchool(tables));
const photo = (parts: Parts) => Object.keys(parts).find((k) => k.startsWith("files/"))!;

/** The school as it was before any of them. */
let untouched: Buffer | undefined;

const attacks: [what: string, why: RegExp, make: () => Uint8Array][] = [
  [
    "a row of another project",
    /rows of another project/,
    () => changed("day_off", (rows) => rows.map((r) => ({ ...r, project_id: home.projectId, on_date: "2027-03-25" }))),
  ],
  [
    "an audit row for another project",
    /rows of another project/,
    () => changed("audit", (rows) => [{ ...rows[0]!, id: randomUUID(), project_id: home.projectId }, ...rows]),
  ],
  [
    "a second project",
    /does not hold one project/,
    () => changed("project", (rows) => [...rows, { ...rows[0]!, id: randomUUID(), slug: "second" }]),
  ],
  [
    "another project's section",
    /rows of another project/,
    () => changed("project_section", (rows) => [...rows, { ...rows[0]!, section_id: home.section }]),
  ],
  [
    "a build of another project's team",
    /points to a team that is not in it/,
    () => changed("build", (rows) => rows.map((r, i) => ({ ...r, team_id: home.a, number: 77 + i }))),
  ],
  [
    "a member who is not among its people",
    /points to a person that is not in it/,
    () => changed("membership", (rows) => rows.map((r, i) => (i ? r : { ...r, person_id: home.students[2] }))),
  ],
  [
    "a formula that reaches for more than numbers",
    /protocol_version holds a definition that cannot be used/,
    () =>
      changed("protocol_version", (rows) =>
        rows.map((r) => {
          const d = r.definition as { derived: object[] };
          return { ...r, definition: { ...d, derived: d.derived.map((x) => ({ ...x, expression: "toString(1)" })) } };
        }),
      ),
  ],
  [
    "a pattern that is none",
    /section holds a pattern that cannot be used/,
    () => changed("section", (rows) => rows.map((r) => ({ ...r, pattern: { kind: "cycle", length: 1e9, meets: [] } }))),
  ],
  [
    "settings of another kind",
    /project holds a settings that cannot be used/,
    () => changed("project", (rows) => rows.map((r) => ({ ...r, settings: { teamMax: "many" } }))),
  ],
  [
    "a picture that was exchanged",
    /is not what it was/,
    () =>
      changed(
        "file",
        (rows) => rows,
        (parts) => {
          parts[photo(parts)] = new TextEncoder().encode("<html>");
        },
      ),
  ],
  [
    "a page in a picture's place",
    /is not a picture/,
    () => {
      const page = Buffer.from("<script>alert(1)</script>");
      const hash = createHash("sha256").update(page).digest("hex");
      const parts = unzipSync(bundle);
      const was = photo(parts).slice(6);
      return changed(
        "file",
        (rows) => rows.map((r) => ({ ...r, hash, size: page.length, mime: "text/html" })),
        (p) => {
          p[`files/${hash}`] = page;
          p["tables/file_use.json"] = encode(rowsIn(p, "file_use").map((r) => ({ ...r, file_hash: hash })));
          delete p[`files/${was}`];
        },
      );
    },
  ],
];

test.each(attacks)("%s is refused, and nothing is written", async (_, why, make) => {
  untouched ??= await everything();
  await expect(importProject(tables, make(), stranger.id)).rejects.toThrow(why);
  expect((await everything()).equals(untouched)).toBe(true);
});

test("a bundle gives nobody a right, and a known id of a person opens nothing", async () => {
  const [victim] = home.students;
  const theirOwn = rowsIn(unzipSync(bundle), "person")[0]!.id as string;
  const planted = changed(
    "person",
    (rows) => rows,
    (parts) => {
      const project = rowsIn(parts, "project")[0]!.id;
      parts["tables/staff.json"] = encode([{ project_id: project, person_id: home.students[1], role: "owner" }]);
      for (const k of Object.keys(parts))
        if (k.startsWith("tables/"))
          parts[k] = new TextEncoder().encode(new TextDecoder().decode(parts[k]).replaceAll(theirOwn, victim!));
    },
  );
  const before = await db()`SELECT * FROM person WHERE id = ${victim!}`;
  const { slug } = await importProject(tables, planted, stranger.id);
  const [p] = await db()<{ id: string }[]>`SELECT id FROM project WHERE slug = ${slug}`;
  expect(await db()`SELECT person_id, role FROM staff WHERE project_id = ${p!.id}`).toEqual([
    { personId: stranger.id, role: "owner" },
  ]);
  const enrolled = await db()<{ id: string; name: string }[]>`
    SELECT e.person_id AS id, person.name
    FROM enrolment e
    JOIN project_section USING (section_id)
    JOIN person ON person.id = e.person_id
    WHERE project_id = ${p!.id}
  `;
  expect([enrolled.length, enrolled.map((e) => e.id).includes(victim!)]).toEqual([3, false]);
  const me = await actorOf(stranger.id);
  for (const e of enrolled) await ok(giveLogin, me, { projectId: p!.id, personId: e.id, email: `${e.id}@s.example` });
  expect(await db()`SELECT * FROM person WHERE id = ${victim!}`).toEqual(before);
  // Numbers keep the digits that they had.
  expect([
    ...(await db()`
      SELECT DISTINCT value::text
      FROM reading
      JOIN run ON run.id = run_id
      WHERE project_id = ${p!.id}
    `),
  ]).toEqual([{ value: "0.123456789012345678" }]);
});

test("a backup is restored beside the school and compared; one that is not whole is named", async () => {
  const backup = await backupSchool(tables);
  expect(await checkBackup(tables, backup)).toEqual({ ok: true });
  const parts = unzipSync(backup);
  const rows = rowsIn(parts, "reading");
  parts["tables/reading.json"] = encode(rows.map((r) => ({ ...r, run_id: randomUUID() })));
  expect(await checkBackup(tables, zipSync(parts))).toMatchObject({
    ok: false,
    message: expect.stringContaining("cannot be restored"),
  });
  expect(await db()`SELECT datname FROM pg_database WHERE datname LIKE 'ironstone_check%'`).toHaveLength(0);
});
