import type { Actor } from "@/core/access/can";
import { drawTeams } from "@/stages/teams/commands/teams";
import { teamsOf } from "@/stages/teams/queries/teams";
import { ok, refused } from "@/stages/testing/database";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { studentsOf } from "../queries/students";
import { decodeText } from "../view";
import { importRoster, previewRoster } from "./roster";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
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
