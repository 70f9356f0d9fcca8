// Texts are found by their words wherever they stand, as they stand now, by whoever may read them.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { execute } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { commands } from "@/stages/commands";
import { saveStatement } from "@/stages/needs/commands/statements";
import { amendEntry, writeEntry } from "@/stages/notebook/commands";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { addAction } from "@/stages/reviews/commands/actions";
import { ok } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { passages, passagesShown } from "./passages";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

type Person = Extract<Actor, { kind: "person" }>;
const find = async (words: string, who: Actor = at.boss) => {
  const found = await passages(at.w.projectId, words, who as Person);
  return found.map((p) => p.kind);
};

test("a text is found by the beginnings of all its words, without marks and case", async () => {
  await ok(saveStatement, at.boss, { projectId: at.w.projectId, text: "Läuft ohne Pumpenschwengel, auch im Regen" });
  expect(await find("LAUFT pumpen regen")).toEqual(["statement"]);
  expect(await find("pumpen schnee")).toEqual([]);
  expect(await find("schwengel")).toEqual([]);
  expect(await find("  ;'\"&!:*\\ ")).toEqual([]);
  expect(await find("pumpen'); DROP TABLE passage; --")).toEqual([]);
});

test("a notebook is found by its student and by instructors, and by nobody else", async () => {
  const id = randomUUID();
  const personId = at.w.students[0]!;
  const text = "The quernstone slipped.";
  await ok(writeEntry, at.mate, { id, projectId: at.w.projectId, personId, text });
  expect(await find("quernstone")).toEqual(["notebook"]);
  expect(await find("quernstone", at.mate)).toEqual(["notebook"]);
  expect(await find("quernstone", at.other)).toEqual([]);
  // Amended, it is found by what it says now.
  await ok(amendEntry, at.mate, { id, version: 1, text: "The grindstone slipped.", reason: "Its name" });
  expect(await find("quernstone")).toEqual([]);
  expect(await find("grindstone", at.mate)).toEqual(["notebook"]);
});

test("what is withdrawn is not found; brought back it is", async () => {
  await ok(addAction, at.boss, { reviewId: at.w.review, what: "Shorten the flywheel shaft", dueOn: "2027-03-09" });
  const [a] = await db()<{ id: string }[]>`SELECT id FROM action_item WHERE what LIKE 'Shorten%'`;
  expect(await find("flywheel")).toEqual(["action"]);
  const gone = await execute(commands.withdrawAction!, at.boss, { id: a!.id, reason: "x" });
  if (!gone.ok) throw new Error(gone.message);
  expect(await find("flywheel")).toEqual([]);
  await ok(bringBack, at.boss, { id: (gone.value as { withdrawn: string }).withdrawn });
  expect(await find("flywheel")).toEqual(["action"]);
});

test("each is told by whose it is, and leads to where it stands", async () => {
  const told = async (words: string) =>
    (await passages(at.w.projectId, words, at.boss as Person)).map((p) => [p.label, p.path]);
  expect(await told("drum split")).toEqual([["Alder G1, failure", `/builds/${at.w.build}`]]);
  expect(await told("grindstone")).toEqual([[`${at.w.names[0]}, notebook`, `/notebook?person=${at.w.students[0]}`]]);
  expect(await told("flywheel")).toEqual([["Alder, action", `/reviews/${at.w.review}`]]);
  expect(await told("moves l min")).toEqual([["requirement", "/needs?r=R-01"]]);
});

test("of another project nothing is found, and what is kept is what the sources say", async () => {
  expect(await passages(randomUUID(), "the", at.boss as Person)).toEqual([]);
  const [kept, source] = await Promise.all([
    db()`SELECT kind, ref, project_id, person_id, text FROM passage ORDER BY kind, ref`,
    db()`SELECT kind, ref, project_id, person_id, text FROM passage_source WHERE text <> '' ORDER BY kind, ref`,
  ]);
  expect(kept).toEqual(source);
  expect(new Set(kept.map((k) => k.kind)).size).toBeGreaterThan(6);
});

test("a kind alone, the newest first, and no more than are shown and one", async () => {
  const boss = at.boss as Person;
  expect((await passages(at.w.projectId, "the", boss, "failure")).every((p) => p.kind === "failure")).toBe(true);
  await db()`
    INSERT INTO passage (kind, ref, project_id, at, text)
    SELECT 'statement', gen_random_uuid(), ${at.w.projectId}, now() + n * interval '1 s', 'tideline ' || n
    FROM generate_series(1, 60) n
  `;
  const found = await passages(at.w.projectId, "tideline", boss);
  expect(found).toHaveLength(passagesShown + 1);
  expect(found[0]!.parts.map((p) => p.text).join("")).toBe("tideline 60");
});
