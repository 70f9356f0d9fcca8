import { randomUUID } from "node:crypto";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { amendEntry, writeEntry } from "./commands";
import { entriesOf, notebooksOf } from "./queries";
import { editRemark, remarkOnEntry, seeEntry } from "./reading";
import { withdrawRemark } from "./withdrawals";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const reader = () => (at.boss as { id: string }).id;
const mine = () => at.w.students[0]!;
const unread = async () =>
  (await entriesOf(at.w.projectId, { reader: reader(), unread: true })).map((e) => e.versions.at(-1)!.text);
const count = async (who: string | null) =>
  (await notebooksOf(at.w.projectId, who)).find((n) => n.personId === mine())!.unread;

test("what was read is read as it stood: an amendment makes it unread, for each reader alone", async () => {
  const second = randomUUID();
  await ok(writeEntry, at.mate, { id: second, projectId: at.w.projectId, personId: mine(), text: "The valve stuck." });
  expect(await unread()).toEqual(["The seal leaked.", "The valve stuck."]);
  await ok(seeEntry, at.boss, { entryId: at.w.entryOfNotebook, number: 1 });
  await ok(seeEntry, at.boss, { entryId: at.w.entryOfNotebook, number: 1 });
  expect([await unread(), await count(reader()), await count(null)]).toEqual([["The valve stuck."], 1, 2]);
  const amended = { id: at.w.entryOfNotebook, version: 1, text: "The seal leaked at the top.", reason: "looked" };
  await ok(amendEntry, at.mate, amended);
  expect(await unread()).toEqual(["The seal leaked at the top.", "The valve stuck."]);
  await ok(seeEntry, at.boss, { entryId: at.w.entryOfNotebook, number: 2 });
  // A page that was open before the amendment cannot take the newer reading back.
  await ok(seeEntry, at.boss, { entryId: at.w.entryOfNotebook, number: 1 });
  expect(await unread()).toEqual(["The valve stuck."]);
  await ok(seeEntry, at.boss, { entryId: at.w.entryOfNotebook, number: 0 });
  expect(await count(reader())).toBe(2);
  expect((await refused(seeEntry, at.mate, { entryId: second, number: 1 })).kind).toBe("forbidden");
});

test("a remark stands under its entry, once, is corrected with its record, and withdrawn", async () => {
  const remarks = async () =>
    (await entriesOf(at.w.projectId, { personId: mine() })).find((e) => e.id === at.w.entryOfNotebook)!.remarks;
  const id = randomUUID();
  const said = { id, entryId: at.w.entryOfNotebook, text: "Measure it twice." };
  await ok(remarkOnEntry, at.boss, said);
  await ok(remarkOnEntry, at.boss, said);
  expect((await remarks()).map((r) => r.text)).toEqual(["Where exactly?", "Measure it twice."]);
  await ok(editRemark, at.boss, { id, version: 1, text: "Measure it three times." });
  expect((await refused(editRemark, at.boss, { id, version: 1, text: "Or never." })).kind).toBe("conflict");
  await ok(withdrawRemark, at.boss, { id });
  expect((await remarks()).map((r) => r.text)).toEqual(["Where exactly?"]);
});
