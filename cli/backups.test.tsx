// Backups by themselves: their names are their dates, the oldest of too many go, nothing else of the folder does.
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { backupInto, backupPlan, backupsAmong, dueIn, keepOf, nameAt, surplus } from "./backups.mjs";
import { task } from "./task.mjs";

jest.mock("./task.mjs", () => ({ task: jest.fn() }));
const made = task as unknown as jest.Mock;
const at = (n: number) => nameAt(new Date(Date.UTC(2027, 2, n, 3, 30, 15)));

test("a name holds its moment and sorts by it", () => {
  expect(at(2)).toBe("ironstone-2027-03-02T033015.zip");
  expect(backupsAmong([at(9), "notes.txt", at(11), `${at(10)}.unchecked`, at(10)])).toEqual([at(11), at(10), at(9)]);
});

test("the oldest beyond the count are too many; what is not one of ours is never counted", () => {
  const files = [at(1), "ironstone-old.zip", at(3), at(2), "ironstone-2027-03-01.zip"];
  expect(surplus(files, 2)).toEqual([at(1)]);
  expect([surplus(files, 3), surplus([], 1)]).toEqual([[], []]);
});

test("the next is due a day after the newest, at once where there is none or it is older", () => {
  const noon = Date.UTC(2027, 2, 2, 12);
  expect(dueIn([at(1), at(2)], noon)).toBe((15 * 60 + 30) * 60_000 + 15_000);
  expect([dueIn([at(1)], noon), dueIn([], noon)]).toEqual([0, 0]);
});

test("where they go and how many stay: as asked, by default seven, off where the database is somebody else's", () => {
  expect(backupPlan("/mnt/keep:30", true)).toEqual({ folder: "/mnt/keep", keep: 30 });
  expect(backupPlan("/mnt/keep", false)).toEqual({ folder: "/mnt/keep", keep: 7 });
  expect(backupPlan(undefined, true)).toMatchObject({ keep: 7, folder: expect.stringMatching(/backups$/) });
  expect([backupPlan("off", true), backupPlan(undefined, false)]).toEqual([null, null]);
  expect(() => backupPlan("/mnt/keep:0", true)).toThrow("How many backups are kept");
  expect([keepOf("999"), keepOf("1")]).toEqual([999, 1]);
  for (const bad of ["", "-1", "1000", "two"]) expect(() => keepOf(bad)).toThrow("from 1 to 999");
});

describe("one is made", () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), "ironstone-backups-"));
    for (const n of [1, 2, 3]) writeFileSync(join(folder, at(n)), `day ${n}`);
    writeFileSync(join(folder, "notes.txt"), "mine");
  });
  afterEach(() => rmSync(folder, { recursive: true }));
  const writes = (code = 0) =>
    made.mockImplementation(async (_: string, [, file]: string[]) => {
      writeFileSync(file!, "all of it");
      if (code) throw Object.assign(new Error("no good"), { code });
    });

  test("checked first; then the oldest beyond the count go", async () => {
    writes();
    const file = await backupInto({ folder, keep: 2 }, {});
    expect(readFileSync(file, "utf8")).toBe("all of it");
    expect(readdirSync(folder).sort()).toEqual([at(3), file.slice(folder.length + 1), "notes.txt"].sort());
  });
  test("one that failed, or could not be restored, pushes no good one out", async () => {
    writes(1);
    await expect(backupInto({ folder, keep: 1 }, {})).rejects.toThrow("no good");
    expect(readdirSync(folder)).toHaveLength(4);
    writes(2);
    await expect(backupInto({ folder, keep: 1 }, {})).rejects.toThrow("no good");
    const now = readdirSync(folder);
    expect([now.length, now.filter((f) => f.endsWith(".unchecked")).length, backupsAmong(now).length]).toEqual([
      5, 1, 3,
    ]);
  });
});
