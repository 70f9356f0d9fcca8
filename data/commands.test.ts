// What writes do to the record, against the real database: versions, retries, conflicts, staleness, and bad input.
import { randomUUID } from "node:crypto";
import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { fromSi } from "@/core/quantity/quantity";
import { auditOf, search } from "./audit";
import { attentionOf } from "./attention";
import { correctRun, protocolsOf, recordRun, runsOf, saveProtocol, voidRun, restoreRun } from "./bench";
import { addPhoto, buildById, saveBuild } from "./builds";
import { execute } from "./command";
import { confirmEvent, contestOf, drawRunOrder, inspectEntry, scoreAttempt, voidAttempt } from "./contest";
import { csvOf, toCsv } from "./csv";
import { db } from "./db";
import { readContent } from "./files";
import { frameOf } from "./frame";
import { enterMark, gradebook, publicationsOf, publishGrades } from "./grades";
import { calendarOf } from "./ics";
import { keepEvidence, recordFinding, requirementsOf, saveRequirement } from "./needs";
import {
  actorOf,
  createFirstInstructor,
  createGuestLink,
  decodeText,
  eraseStudent,
  giveLogin,
  guestActor,
  guestCookie,
  importRoster,
  knock,
  openSession,
  personOfSession,
  previewRoster,
  revokeGuestLink,
  signIn,
  studentRecord,
  studentsOf,
} from "./people";
import {
  acknowledgeBrief,
  briefReaders,
  briefVersions,
  checkMilestone,
  createEdition,
  editProject,
  finishProject,
  readDaysOff,
  saveBrief,
} from "./projects";
import { bestOf } from "./records";
import { decideReview, reviewsOf, submitSheet } from "./reviews";
import { projectFacts, requirementStatus } from "./status";
import { drawTeams, teamsOf } from "./teams";
import { firstInstructor, freshDatabase, makeProject, ok, refused, type World } from "./testing/school";

let done: () => Promise<void>;
let boss: Actor;
let w: World;
let n = 0;
beforeAll(async () => {
  done = await freshDatabase();
  boss = await firstInstructor();
});
afterAll(() => done());
beforeEach(async () => {
  w = await makeProject(boss, `Pump ${++n}`);
  boss = await actorOf((boss as { id: string }).id);
});

const statusOf = async (requirement: string, build = w.build) => {
  const facts = await projectFacts(w.projectId);
  return requirementStatus(
    facts,
    facts.requirements.find((r) => r.id === requirement)!,
    facts.builds.find((b) => b.id === build),
  ).value;
};
const change = async (id: string, more: object) => {
  const r = (await requirementsOf(w.projectId)).find((x) => x.id === id)!;
  return {
    projectId: w.projectId,
    id,
    version: r.rowVersion,
    statement: r.statement,
    kind: r.kind,
    priority: r.priority,
    measure: r.measure,
    comparator: r.comparator,
    unit: r.unit,
    target: fromSi(r.target!, r.unit!).toString(),
    method: r.method,
    ...more,
  };
};

describe("writes", () => {
  test("a repeated request has the effect of one, also when both arrive at once", async () => {
    const input = { projectId: w.projectId, title: "Twice", dueOn: "2027-03-03" };
    const id = randomUUID();
    const { saveMilestone } = await import("./projects");
    const [a, b] = await Promise.all([
      execute(saveMilestone, boss, input, id),
      execute(saveMilestone, boss, input, id),
    ]);
    expect(a).toEqual(b);
    expect((await db()`SELECT FROM milestone WHERE project_id = ${w.projectId} AND title = 'Twice'`).length).toBe(1);
  });

  test("what is shown once is stored nowhere, not even for a retry", async () => {
    const input = { projectId: w.projectId, role: "scorer", label: "Gym", days: 2 };
    const id = randomUUID();
    const first = await execute(createGuestLink, boss, input, id);
    if (!first.ok) throw new Error(first.message);
    expect(await execute(createGuestLink, boss, input, id)).toMatchObject({
      ok: false,
      message: expect.stringContaining("shown only once"),
    });
    for (const { table } of await db()<{ table: string }[]>`
      SELECT relname AS table
      FROM pg_class
      JOIN pg_namespace n ON n.oid = relnamespace
      WHERE nspname = 'public' AND relkind = 'r'
    `)
      expect([
        table,
        (await db().unsafe(`SELECT 1 FROM ${table} x WHERE to_jsonb(x)::text LIKE '%${first.value.secret}%'`)).length,
      ]).toEqual([table, 0]);
  });

  test("a stale form gets both values and can be sent again over them", async () => {
    const input = {
      projectId: w.projectId,
      version: 1,
      title: "Theirs",
      kind: "both",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
    };
    await ok(editProject, boss, input);
    const r = await refused(editProject, boss, { ...input, title: "Mine" });
    expect(r).toMatchObject({
      kind: "conflict",
      version: 2,
      fields: expect.arrayContaining([{ field: "title", label: "Title", yours: "Mine", theirs: "Theirs" }]),
    });
    await ok(editProject, boss, { ...input, title: "Mine", version: 2 });
  });

  test("every write leaves an audit row with who, before and after; a refused one leaves nothing", async () => {
    await ok(editProject, boss, {
      projectId: w.projectId,
      version: 1,
      title: "Renamed",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
    });
    const [row] = await auditOf(w.projectId);
    expect(row).toMatchObject({
      act: "editProject",
      actorName: "Mara Okonedo",
      after: expect.objectContaining({ title: "Renamed" }),
      before: expect.objectContaining({ kind: "both" }),
    });
    const before = (await auditOf(w.projectId, { limit: 500 })).length;
    await refused(editProject, boss, {
      projectId: w.projectId,
      version: 2,
      title: "",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-01-01",
    });
    expect((await auditOf(w.projectId, { limit: 500 })).length).toBe(before);
  });

  test("errors name their fields", async () => {
    const r = await refused(editProject, boss, {
      projectId: w.projectId,
      version: 1,
      title: "",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-01-01",
    });
    expect(r).toMatchObject({
      kind: "invalid",
      fields: { title: "This is needed.", endsOn: "The last day is before the first day." },
    });
  });
});

describe("brief and requirements", () => {
  test("a second version says what changed, and is unread again", async () => {
    expect(await refused(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "New" })).toMatchObject({
      fields: { whatChanged: expect.stringContaining("what changed") },
    });
    const [v1] = await briefVersions(w.projectId);
    await ok(acknowledgeBrief, await actorOf(w.students[0]!), { projectId: w.projectId, briefVersionId: v1!.id });
    await ok(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "New", whatChanged: "the limit" });
    const [v2] = await briefVersions(w.projectId);
    expect([v2!.number, (await briefReaders(v1!.id)).length, (await briefReaders(v2!.id)).length]).toEqual([2, 1, 0]);
    expect(
      await refused(saveBrief, boss, { projectId: w.projectId, baseNumber: 1, body: "Old tab", whatChanged: "x" }),
    ).toMatchObject({ kind: "conflict" });
  });

  test("a changed limit makes what leaned on it stale; it can be kept with a reason, or run again", async () => {
    expect(await statusOf(w.mass)).toBe("met");
    expect(await refused(saveRequirement, boss, await change(w.mass, { target: "4 kg" }))).toMatchObject({
      fields: { reason: expect.stringContaining("say why") },
    });
    await ok(saveRequirement, boss, await change(w.mass, { target: "4 kg", reason: "client" }));
    expect(await statusOf(w.mass)).toBe("stale");
    const edit = {
      teamId: w.a,
      id: w.build,
      stage: "prototype",
      builtOn: "2027-02-20",
      mass: "4.4 kg",
      sides: "590 × 380 × 390 mm",
    };
    await ok(saveBuild, boss, { ...edit, version: 1, whatChanged: "First, spelled better" });
    expect(await statusOf(w.mass)).toBe("stale"); // a corrected text does not weigh the build again
    await ok(keepEvidence, boss, { requirementId: w.mass, buildId: w.build, reason: "weighed on the same scale" });
    expect(await statusOf(w.mass)).toBe("not met");
    await ok(saveRequirement, boss, await change(w.mass, { target: "4.2 kg", reason: "client again" }));
    await ok(saveBuild, boss, { ...edit, version: 2, whatChanged: "First", mass: "4.1 kg" });
    expect(await statusOf(w.mass)).toBe("met"); // weighed anew
  });

  test("another wording changes no verdict", async () => {
    await ok(saveRequirement, boss, await change(w.flow, { statement: "Moves at least 7.5 litres a minute" }));
    expect(await statusOf(w.flow)).toBe("met");
  });

  test("a physical change of the build makes its runs stale, a correction of its record does not", async () => {
    const edit = {
      teamId: w.a,
      id: w.build,
      stage: "prototype",
      builtOn: "2027-02-20",
      whatChanged: "First, with a note",
      mass: "4.4 kg",
    };
    await ok(saveBuild, boss, { ...edit, version: 1 });
    expect(await statusOf(w.flow)).toBe("met");
    await ok(saveBuild, boss, { ...edit, version: 2, physical: true });
    expect(await statusOf(w.flow)).toBe("stale");
    await ok(recordRun, boss, {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m: "8.6" },
    });
    expect(await statusOf(w.flow)).toBe("met");
  });

  test("a limit in a unit of another quantity is refused", async () => {
    expect(
      await refused(saveRequirement, boss, await change(w.mass, { unit: "L", target: "5 L", reason: "x" })),
    ).toMatchObject({ fields: { unit: expect.stringContaining("different quantities") } });
    expect(
      await refused(saveRequirement, boss, {
        projectId: w.projectId,
        statement: "S",
        kind: "constraint",
        priority: "must",
      }),
    ).toMatchObject({ fields: { method: expect.stringContaining("verify") } });
  });

  test("findings decide requirements without a number", async () => {
    expect(await statusOf(w.seen)).toBe("untested");
    await ok(recordFinding, boss, {
      requirementId: w.seen,
      buildId: w.build,
      outcome: "not met",
      note: "edge at the lever",
    });
    expect(await statusOf(w.seen)).toBe("not met");
    expect(
      await refused(recordFinding, boss, { requirementId: w.flow, buildId: w.build, outcome: "met" }),
    ).toMatchObject({ kind: "invalid" });
  });
});

describe("bench", () => {
  const record = (m: string, more: object = {}) =>
    execute(recordRun, boss, {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m },
      ...more,
    });

  test("readings are understood with their unit; wrong units and impossible values say so", async () => {
    expect(await record("8600 g")).toMatchObject({ ok: true, value: { attempt: 2 } });
    expect(await record("8.6 L")).toMatchObject({
      ok: false,
      fields: { "readings.m": expect.stringContaining("this field takes a mass") },
    });
    expect(await record("lots")).toMatchObject({
      ok: false,
      fields: { "readings.m": expect.stringContaining("not a number") },
    });
    expect(await record("")).toMatchObject({ ok: false, fields: { "readings.m": "Collected is missing." } });
    expect((await runsOf(w.projectId)).length).toBe(2);
  });

  test("the same attempt sent twice is recorded once", async () => {
    const input = { id: randomUUID(), buildId: w.build, protocolVersionId: w.versionId, readings: { m: "8" } };
    const [a, b] = await Promise.all([execute(recordRun, boss, input), execute(recordRun, boss, input)]);
    expect([a, b]).toEqual([
      { ok: true, value: { attempt: 2 } },
      { ok: true, value: { attempt: 2 } },
    ]);
    expect((await runsOf(w.projectId)).length).toBe(2);
  });

  test("a protocol that runs lean on is frozen: editing makes a version, and old runs no longer compare", async () => {
    const [p] = await protocolsOf(w.projectId);
    const definition = { ...p!.definition, policy: { ...p!.definition.policy, n: 5 } };
    expect(
      await refused(saveProtocol, boss, { projectId: w.projectId, id: p!.id, version: 1, name: p!.name, definition }),
    ).toMatchObject({ fields: { whatChanged: expect.any(String) } });
    await ok(saveProtocol, boss, {
      projectId: w.projectId,
      id: p!.id,
      version: 1,
      name: p!.name,
      definition,
      whatChanged: "five attempts",
    });
    expect((await protocolsOf(w.projectId))[0]!.number).toBe(2);
    expect(await statusOf(w.flow)).toBe("stale");
    await expect(db()`UPDATE protocol_version SET definition = '{}' WHERE id = ${w.versionId}`).rejects.toThrow(
      "frozen",
    );
    expect(await record("8")).toMatchObject({ ok: false, message: expect.stringContaining("newer version") });
  });

  test("a formula whose units do not fit is refused with both named", async () => {
    const [p] = await protocolsOf(w.projectId);
    const r = await refused(saveProtocol, boss, {
      projectId: w.projectId,
      name: "Bad",
      definition: { ...p!.definition, derived: [{ ...p!.definition.derived[0]!, expression: "m * t" }] },
    });
    expect(r.message).toContain("but a flow is declared");
  });

  test("a run is set aside, taken back and corrected, with reasons on record", async () => {
    await ok(voidRun, boss, { id: w.run, version: 1, reason: "hose slipped" });
    expect(await statusOf(w.flow)).toBe("untested");
    await ok(restoreRun, boss, { id: w.run, version: 2 });
    await ok(correctRun, boss, {
      id: w.run,
      version: 3,
      readings: { m: "6.8" },
      conditions: {},
      reason: "digits swapped",
    });
    expect(await statusOf(w.flow)).toBe("not met");
    expect((await auditOf(w.projectId)).map((a) => a.reason).slice(0, 3)).toEqual([
      "digits swapped",
      null,
      "hose slipped",
    ]);
  });
});

describe("builds and photos", () => {
  test("a photo is stored once, upright and without its metadata", async () => {
    const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#aa5533" } })
      .withExif({ IFD0: { Copyright: "somebody", Make: "camera" } })
      .jpeg()
      .toBuffer();
    const { id } = await ok(addPhoto, boss, { buildId: w.build, base64: picture.toString("base64") });
    const [use] = await db()<{ fileHash: string }[]>`SELECT file_hash FROM file_use WHERE id = ${id}`;
    const stored = await readContent(use!.fileHash);
    expect((await sharp(stored!.content).metadata()).exif).toBeUndefined();
    expect((await buildById(w.projectId, w.build))!.photos).toHaveLength(1);
  });
  test.each([
    ["text", Buffer.from("this is not a picture")],
    [
      "a picture cut short",
      async () =>
        (
          await sharp({ create: { width: 300, height: 300, channels: 3, background: "#123" } })
            .png()
            .toBuffer()
        ).subarray(0, 120),
    ],
  ])("%s is refused", async (_, source) => {
    const bytes = typeof source === "function" ? await source() : source;
    expect(await refused(addPhoto, boss, { buildId: w.build, base64: bytes.toString("base64") })).toMatchObject({
      fields: { base64: expect.stringContaining("not a picture") },
    });
  });
});

describe("roster and teams", () => {
  const look = (input: object) => ok(previewRoster, boss, { projectId: w.projectId, ...input });
  test("a stray encoding is read and pointed at; a missing column is named; a binary file is refused", async () => {
    const latin = await look({
      base64: Buffer.from([...Buffer.from("Name,Section\nRen"), 0xe9, ...Buffer.from("e Blanc,3\n")]).toString(
        "base64",
      ),
    });
    expect([latin.rows[0]!.name, latin.warning]).toEqual(["Renée Blanc", expect.stringContaining("not UTF-8")]);
    expect((await look({ text: "Pupil;Section\nX;3" })).problems[0]!.message).toContain("no column “Name”");
    expect(
      await refused(previewRoster, boss, {
        projectId: w.projectId,
        base64: Buffer.from([80, 75, 3, 4, 0, 0]).toString("base64"),
      }),
    ).toMatchObject({ kind: "invalid" });
    expect(decodeText(Uint8Array.from([0xff, 0xfe, 0x41, 0])).text).toBe("A");
  });
  test("10,000 rows are refused whole, and nobody is imported", async () => {
    const r = await look({
      text: `Name\tSection\n${Array.from({ length: 10_000 }, (_, i) => `Student ${i}\t3`).join("\n")}`,
    });
    expect([r.rows.length, r.problems[0]!.message]).toEqual([0, expect.stringContaining("at most 2000")]);
  });
  test("all rows or none: one taken email stops the whole import", async () => {
    await refused(importRoster, boss, {
      projectId: w.projectId,
      rows: [
        { name: "Good One", section: "3" },
        { name: "Bad One", section: "3", email: "mara@hartsedge.example" },
      ],
    });
    expect((await studentsOf(w.projectId)).map((s) => s.name)).not.toContain("Good One");
  });
  test("a draw places everybody who has no team, repeatably, and says when sizes do not fit", async () => {
    const rows = Array.from({ length: 8 }, (_, i) => ({ name: `Student ${i}`, section: "3" }));
    await ok(importRoster, boss, { projectId: w.projectId, rows });
    expect(
      await refused(drawTeams, boss, { projectId: w.projectId, sectionId: w.section, min: 5, max: 5, seed: "1" }),
    ).toMatchObject({ fields: { max: expect.stringContaining("9 students cannot be cut") } });
    await ok(drawTeams, boss, { projectId: w.projectId, sectionId: w.section, min: 4, max: 5, seed: "4417" });
    expect(
      (await teamsOf(w.projectId))
        .filter((t) => t.name.startsWith("Team"))
        .map((t) => t.members.length)
        .sort(),
    ).toEqual([4, 5]);
  });
});

describe("reviews and grades", () => {
  const mark = (points: string, more: object = {}) => ({
    reviewId: w.review,
    raterName: "Guest",
    marks: [{ criterion: "fit", points }],
    ...more,
  });
  test("reviewers' sheets average; a level that the rubric lacks is refused; a verdict closes the sheets", async () => {
    await ok(submitSheet, boss, mark("4"));
    const guest: Actor = {
      kind: "guest",
      id: (await guestId("reviewer")).id,
      name: "Panel",
      role: "reviewer",
      project: w.projectId,
    };
    expect(await refused(submitSheet, guest, mark("3"))).toMatchObject({
      fields: { "marks.fit": expect.stringContaining("none of its levels") },
    });
    await ok(submitSheet, guest, mark("0"));
    const book = await gradebook(w.projectId, "2027-03-02", w.students[0]);
    expect(book.rows[0]!.grade.value.components[0]).toMatchObject({ percent: "50", state: "scored" });
    await ok(decideReview, boss, { id: w.review, version: 1, verdict: "go on" });
    expect(await refused(submitSheet, guest, mark("4", { version: 1 }))).toMatchObject({
      message: expect.stringContaining("closed"),
    });
    expect((await reviewsOf(w.projectId))[0]!.sheets).toHaveLength(2);
  });
  async function guestId(role: string) {
    const { secret } = await ok(createGuestLink, boss, { projectId: w.projectId, role, label: role, days: 3 });
    return (await guestActor(secret)) as { id: string };
  }
  test("a grade is its arithmetic: what is not due does not count, what is missing counts zero", async () => {
    await ok(submitSheet, boss, mark("4"));
    const grade = async () => (await gradebook(w.projectId, "2027-03-02", w.students[0])).rows[0]!.grade;
    // Flow of 8.6 kg in 60 s: 8.617 L/min at two digits of its uncertainty: (8.617 − 4) ÷ 5 × 100 = 92.34; the drawing
    // is missing; the notebook is not due.
    expect((await grade()).value.components.map((c) => [c.state, c.percent])).toEqual([
      ["scored", "100"],
      ["scored", "92.34"],
      ["missing", "0"],
      ["not due", null],
    ]);
    expect((await grade()).value.grade).toBe("84.6");
    await ok(checkMilestone, boss, { milestoneId: w.milestone, teamId: w.a, doneOn: "2027-02-01" });
    await ok(enterMark, boss, {
      projectId: w.projectId,
      personId: w.students[0],
      component: "notebook",
      kind: "mark",
      percent: "70",
    });
    expect((await grade()).value.grade).toBe("91.7");
    expect(
      await refused(enterMark, boss, {
        projectId: w.projectId,
        personId: w.students[0],
        component: "review",
        kind: "override",
        percent: "10",
      }),
    ).toMatchObject({ fields: { reason: expect.stringContaining("Say why") } });
  });
  test("a publication is frozen; the next one names what changed", async () => {
    await ok(submitSheet, boss, mark("4"));
    await ok(publishGrades, boss, { projectId: w.projectId });
    expect(await refused(publishGrades, boss, { projectId: w.projectId })).toMatchObject({
      message: expect.stringContaining("No grade has changed"),
    });
    await ok(enterMark, boss, {
      projectId: w.projectId,
      personId: w.students[0],
      component: "notebook",
      kind: "mark",
      percent: "10",
    });
    expect(await refused(publishGrades, boss, { projectId: w.projectId })).toMatchObject({
      fields: { whatChanged: expect.stringContaining("1 grade changed") },
    });
    await ok(publishGrades, boss, { projectId: w.projectId, whatChanged: "notebook came in" });
    const all = await publicationsOf(w.projectId);
    expect(all.map((p) => p.number)).toEqual([2, 1]);
    expect(all[0]!.ledger[0]!.grade).not.toBe(all[1]!.ledger[0]!.grade);
  });
});

describe("contest and records", () => {
  const score = (m: string, id = randomUUID()) =>
    execute(scoreAttempt, boss, { id, entryId: w.entry, state: "valid", readings: { m } });
  test("inspection first, attempts limited, a retry counts once, a void attempt can be repeated", async () => {
    expect(await score("8")).toMatchObject({ ok: false, message: expect.stringContaining("not passed inspection") });
    await ok(inspectEntry, boss, { entryId: w.entry, version: 1, outcome: "passed" });
    const id = randomUUID();
    expect([await score("8", id), await score("8", id)]).toEqual([
      { ok: true, value: { attempt: 1 } },
      { ok: true, value: { attempt: 1 } },
    ]);
    await score("9");
    const third = randomUUID();
    await score("9.5", third);
    expect(await score("10")).toMatchObject({ ok: false, message: expect.stringContaining("all 3 attempts") });
    await ok(voidAttempt, boss, { id: third, version: 1, reason: "wrong team" });
    expect(await score("7")).toMatchObject({ ok: true, value: { attempt: 4 } });
    const [e] = await contestOf(w.projectId);
    expect(e!.standings[0]).toMatchObject({ name: "Alder", place: 1, shown: "9.0" });
    await ok(confirmEvent, boss, { id: w.event, version: e!.version });
    expect(await score("7")).toMatchObject({ ok: false, message: expect.stringContaining("confirmed") });
  });
  test("a run order is drawn by its seed and kept", async () => {
    await ok(drawRunOrder, boss, { id: w.event, version: 1, seed: "42" });
    const order = (await contestOf(w.projectId))[0]!.entries.map((x) => x.team);
    await ok(drawRunOrder, boss, { id: w.event, version: 2, seed: "42" });
    expect((await contestOf(w.projectId))[0]!.entries.map((x) => x.team)).toEqual(order);
  });
  test("the next edition carries what was learned, and its benchmark is this one's best", async () => {
    await ok(finishProject, boss, { projectId: w.projectId });
    const next = await ok(createEdition, boss, {
      projectId: w.projectId,
      title: "Next",
      startsOn: "2028-01-17",
      endsOn: "2028-03-24",
    });
    const carried = await requirementsOf(next.projectId);
    const [p] = await protocolsOf(next.projectId);
    expect(carried.map((r) => r.measure).filter((m) => m?.startsWith("run:"))).toEqual([`run:${p!.id}:Q`]);
    expect(await bestOf(w.projectId, p!.name, "Q")).toMatchObject({
      team: "Alder",
      build: 1,
      value: expect.closeTo(8.617, 3),
    });
  });
});

describe("people", () => {
  test("sign-in is limited, and says the same of a wrong email as of a wrong password", async () => {
    const wrong = await signIn("mara@hartsedge.example", "no", "a");
    expect(await signIn("nobody@hartsedge.example", "no", "a")).toEqual(wrong);
    expect(await signIn(" MARA@hartsedge.example ", "a long enough password", "a")).toMatchObject({ ok: true });
    for (let i = 0; i < 9; i++) await signIn("mara@hartsedge.example", "no", "a");
    expect(await signIn("mara@hartsedge.example", "a long enough password", "a")).toMatchObject({
      ok: false,
      message: expect.stringContaining("Too many attempts"),
    });
    await db()`DELETE FROM sign_in_attempt`;
  });
  test("there is one first instructor; sessions end", async () => {
    expect(
      await createFirstInstructor({ name: "X", email: "x@s.example", password: "a long enough password" }),
    ).toMatchObject({ ok: false });
    const { secret } = await openSession((boss as { id: string }).id);
    expect(await personOfSession(secret)).toBe((boss as { id: string }).id);
    await db()`UPDATE session_token SET expires_at = now() - interval '1 second'`;
    expect(await personOfSession(secret)).toBeNull();
  });
  test("a guest link opens with its PIN only, expires and can be taken back", async () => {
    const { secret, pin } = await ok(createGuestLink, boss, {
      projectId: w.projectId,
      role: "scorer",
      label: "Gym",
      days: 2,
    });
    expect(await knock(secret, null)).toMatchObject({ state: "pin" });
    expect(await knock(secret, "0")).toMatchObject({
      state: "pin",
      message: expect.stringContaining("not the link's PIN"),
    });
    expect(await knock(secret, pin)).toMatchObject({ state: "open" });
    expect((await guestActor(secret)).kind).toBe("nobody");
    const cookie = await guestCookie(secret);
    expect(await guestActor(cookie)).toMatchObject({ kind: "guest", role: "scorer" });
    await ok(revokeGuestLink, boss, { id: ((await guestActor(cookie)) as { id: string }).id });
    expect((await guestActor(cookie)).kind).toBe("nobody");
  });
  test("a student's record can be taken out, and erased for good", async () => {
    const [id, name] = [w.students[0]!, w.names[0]!];
    const { password } = await ok(giveLogin, boss, { projectId: w.projectId, personId: id, email: `s${n}@s.example` });
    expect(await signIn(`s${n}@s.example`, password, "b")).toMatchObject({ ok: true });
    await ok(recordRun, await actorOf(id), {
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      readings: { m: "8" },
    });
    expect(await studentRecord(w.projectId, id)).toMatchObject({ person: { name }, memberships: [{ team: "Alder" }] });
    await ok(publishGrades, boss, { projectId: w.projectId }).catch(() => {});
    expect(await refused(eraseStudent, boss, { projectId: w.projectId, personId: id, confirm: "no" })).toMatchObject({
      kind: "invalid",
    });
    await ok(eraseStudent, boss, { projectId: w.projectId, personId: id, confirm: name });
    for (const { table } of await db()<{ table: string }[]>`
      SELECT relname AS table
      FROM pg_class
      JOIN pg_namespace n ON n.oid = relnamespace
      WHERE nspname = 'public' AND relkind = 'r'
    `)
      expect([
        table,
        (await db().unsafe(`SELECT 1 FROM ${table} x WHERE to_jsonb(x)::text LIKE '%${name}%'`)).length,
      ]).toEqual([table, 0]);
    expect((await actorOf(id)).kind).toBe("nobody");
    expect((await runsOf(w.projectId)).length).toBe(2);
  });
});

describe("reading", () => {
  test("Today lists reasons, the jump box finds, the calendar and CSV come out", async () => {
    expect((await attentionOf(w.projectId, w.slug, "2027-03-02")).map((x) => x.what).join("; ")).toContain(
      "1 action overdue; Drawing is overdue",
    );
    expect((await search(w.projectId, w.slug, "alder", true)).map((h) => h.kind)).toEqual(
      expect.arrayContaining(["team", "build", "run", "review"]),
    );
    expect(await search(w.projectId, w.slug, "ada", false)).toEqual([]);
    const frame = (await frameOf(w.slug, boss))!;
    expect([frame.sessions.length, frame.held]).toEqual([29, 19]);
    const ics = await calendarOf(frame, w.section);
    expect(ics.match(/BEGIN:VEVENT/g)!.length).toBe(29 + 3 + 1 + 1);
    expect((await csvOf("requirements", w.projectId, "cr", "2027-03-02")).split("\r\n")[1]).toBe(
      "R-01,1,Moves 7.5 L/min,criterion,must,flow,≥ 7.5 L/min,test,,met,untested",
    );
    expect(await csvOf("runs", w.projectId, "cr", "2027-03-02")).toContain("Collected (kg),Flow (L/min)");
    expect(await csvOf("gradebook", w.projectId, "cr", "2027-03-02")).toContain("Review (%, weight 40)");
  });
  test("an exported cell cannot start a formula, and numbers stay numbers", () => {
    expect(toCsv([["=1+1", "@x", "-3.5", "−2", "+SUM(A1)", "ok"]]).trim()).toBe(
      "\ufeff'=1+1,'@x,-3.5,-2,'+SUM(A1),ok".trim(),
    );
  });
  test("days off are read one a line", () => {
    expect(readDaysOff("2027-02-15 Staff day\n2027-02-22 to 2027-02-24 Half-term")).toMatchObject({
      ok: true,
      days: [{ reason: "Staff day" }, {}, {}, { date: "2027-02-24" }],
    });
    expect(readDaysOff("next Monday")).toEqual({ ok: false, line: "next Monday" });
  });
});
