import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { amendEntry, writeEntry } from "./commands";
import { entriesOf, notebooksOf, onPage } from "./queries";

let done: () => Promise<void>;
let mate: Actor;
let other: Actor;
let w: World;

beforeAll(async () => {
  ({ done, mate, other, w } = await openClass());
});
afterAll(() => done());

test("a notebook entry keeps its first writing beside every amendment", async () => {
  await ok(amendEntry, mate, {
    id: w.entryOfNotebook,
    version: 1,
    text: "The seal leaked at the top.",
    reason: "looked again",
  });
  const [e] = await entriesOf(w.projectId, { personId: w.students[0]! });
  expect(e!.versions.map((v) => [v.text, v.reason])).toEqual([
    ["The seal leaked.", ""],
    ["The seal leaked at the top.", "looked again"],
  ]);
  expect((await refused(amendEntry, mate, { id: w.entryOfNotebook, version: 1, text: "x", reason: "y" })).kind).toBe(
    "conflict",
  );
  expect(
    (
      await refused(writeEntry, other, {
        id: w.entryOfNotebook,
        projectId: w.projectId,
        personId: w.students[1],
        text: "mine now",
      })
    ).kind,
  ).toBe("missing");
});

test("every entry can be read, a page at a time, however many there are", async () => {
  const mine = { personId: w.students[0]! };
  const before = (await notebooksOf(w.projectId)).find((n) => n.personId === mine.personId)!.entries;
  for (let i = 0; i < 2 * onPage + 5; i++)
    await ok(writeEntry, mate, { id: randomUUID(), projectId: w.projectId, ...mine, text: `Entry ${i}` });
  const seen = new Set<string>();
  for (let page = 1; page <= 3; page++) {
    const found = await entriesOf(w.projectId, { ...mine, page });
    expect(found.length).toBeLessThanOrEqual(onPage + 1);
    for (const e of found) seen.add(e.id);
  }
  expect(seen.size).toBe(before + 2 * onPage + 5);
  expect((await notebooksOf(w.projectId)).find((n) => n.personId === mine.personId)!.entries).toBe(seen.size);
  expect(await entriesOf(w.projectId, { ...mine, page: 4 })).toHaveLength(0);
  expect((await entriesOf(w.projectId, { sectionId: w.section })).length).toBe(onPage + 1);
  expect(await entriesOf(w.projectId, { sectionId: w.a })).toHaveLength(0);
});
