// Pictures of a notebook are its student's and the instructors': added, marked, taken out and brought back.
import { db } from "@/platform/db/db";
import { fileUse } from "@/platform/files/files";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { picture } from "@/stages/testing/picture";
import { openClass } from "@/stages/testing/school";
import { addEntryPicture, markEntryPicture } from "./pictures";
import { entriesOf } from "./queries";
import { removeEntryPicture } from "./withdrawals";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const pictures = async () => (await entriesOf(at.w.projectId, { personId: at.w.students[0]! }))[0]!.pictures;
const marks = [
  { x: 0.25, y: 0.5, text: "It leaks here" },
  { x: 1, y: 0, text: "Corner" },
];

test("a picture is marked by its student; what the marks were is kept; no mark lies outside", async () => {
  await ok(markEntryPicture, at.mate, { id: at.w.picture, caption: "Seal, wet", marks });
  expect(await pictures()).toEqual([{ id: at.w.picture, caption: "Seal, wet", marks }]);
  await ok(markEntryPicture, at.mate, { id: at.w.picture, caption: "Seal, wet", marks: marks.slice(1) });
  expect((await pictures())[0]!.marks).toEqual(marks.slice(1));
  const [kept] = await db()<{ before: { marks: unknown } }[]>`
    SELECT before FROM audit WHERE act = 'markEntryPicture' ORDER BY at DESC LIMIT 1
  `;
  expect(kept!.before.marks).toEqual(marks);
  const outside = { id: at.w.picture, marks: [{ x: 1.2, y: 0, text: "Off" }] };
  expect(await refused(markEntryPicture, at.mate, outside)).toMatchObject({ kind: "invalid" });
  await refused(markEntryPicture, at.boss, { id: at.w.picture, marks: [] });
});

test("its file is the student's own and the instructors', whatever the class may see else", async () => {
  expect(await fileUse(at.w.picture)).toMatchObject({ notebook: at.w.students[0] });
  const [of] = await db()<{ id: string }[]>`SELECT id FROM file_use WHERE entry_id IS NULL LIMIT 1`;
  if (of) expect((await fileUse(of.id))!.notebook).toBeNull();
});

test("what is no picture is refused; a second one stands behind the first", async () => {
  expect(await refused(addEntryPicture, at.mate, { entryId: at.w.entryOfNotebook, base64: "eA==" })).toMatchObject({
    fields: { base64: expect.any(String) },
  });
  const { id } = await ok(addEntryPicture, at.mate, {
    entryId: at.w.entryOfNotebook,
    caption: "Sketch",
    base64: await picture("#444"),
  });
  expect((await pictures()).map((p) => p.id)).toEqual([at.w.picture, id]);
});

test("taken out it is gone, and comes back with its marks", async () => {
  const before = await pictures();
  await refused(removeEntryPicture, at.boss, { id: at.w.picture });
  const { withdrawn } = await ok(removeEntryPicture, at.mate, { id: at.w.picture });
  expect((await pictures()).map((p) => p.id)).not.toContain(at.w.picture);
  await ok(bringBack, at.mate, { id: withdrawn });
  expect(await pictures()).toEqual(before);
});
