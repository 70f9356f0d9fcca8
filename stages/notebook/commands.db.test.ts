import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { amendEntry, writeEntry } from "./commands";
import { entriesOf } from "./queries";

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
  const [e] = await entriesOf(w.projectId, w.students[0]!);
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
