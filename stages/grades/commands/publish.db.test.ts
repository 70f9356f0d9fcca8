import { studentHome } from "@/frame/today/home";
import type { Person } from "@/platform/registry/stage";
import { actorOf } from "@/platform/sign-in/actors";
import { importRoster } from "@/stages/people/commands/roster";
import { studentsOf } from "@/stages/people/queries/students";
import { createProject } from "@/stages/plan/commands/projects";
import { freshDatabase, ok, refused } from "@/stages/testing/database";
import { firstInstructor } from "@/stages/testing/school";
import { gradebookTable } from "../gradebook-table";
import { publicationsOf } from "../queries/publications";
import { enterMarks } from "./marks";
import { publishGrades } from "./publish";
import { saveScheme } from "./scheme";

let done: () => Promise<void>;
beforeAll(async () => {
  done = await freshDatabase();
});
afterAll(() => done());

test("a section's grades are published alone: each student reads the newest publication that holds them", async () => {
  const owner = await firstInstructor();
  const { projectId, sectionIds } = await ok(createProject, owner, {
    title: "Pump",
    kind: "client",
    startsOn: "2027-01-18",
    endsOn: "2027-03-26",
    sections: ["3", "4"].map((name) => ({ name, days: [1, 2, 4] })),
  });
  const boss = await actorOf((owner as { id: string }).id);
  const rows = [
    { name: "Ada", section: "3" },
    { name: "Ben", section: "4" },
  ];
  await ok(importRoster, boss, { projectId, rows });
  const [ada, ben] = await studentsOf(projectId);
  const components = [{ key: "book", name: "Notebook", weight: "100", source: { kind: "entered" } }];
  await ok(saveScheme, boss, { projectId, baseNumber: 0, decimals: 0, components });
  const enter = (personId: string, version: number, typed: string) =>
    ok(enterMarks, boss, { projectId, marks: [{ personId, component: "book", version, typed }] });
  await enter(ada!.id, 0, "80");

  const four = { projectId, sectionId: sectionIds[1] };
  expect((await refused(publishGrades, boss, four)).message).toContain("no component counts");
  const three = { projectId, sectionId: sectionIds[0] };
  await ok(publishGrades, boss, three);
  expect((await refused(publishGrades, boss, three)).message).toContain("No grade has changed");
  const told = async (id: string) =>
    JSON.stringify(await studentHome((await actorOf(id)) as Person, "2027-02-01")).includes("My grade");
  expect([await told(ada!.id), await told(ben!.id)]).toEqual([true, false]);

  // The other section's first publication asks for no reason; a second one of the first does.
  await enter(ben!.id, 0, "70");
  await ok(publishGrades, boss, four);
  await enter(ada!.id, 1, "90");
  expect(await refused(publishGrades, boss, three)).toMatchObject({ fields: { whatChanged: expect.any(String) } });
  await ok(publishGrades, boss, { ...three, whatChanged: "second look" });
  const ledgers = (await publicationsOf(projectId)).map((p) => p.ledger.map((l) => `${l.name} ${l.grade}`));
  expect(ledgers).toEqual([["Ada 90"], ["Ben 70"], ["Ada 80"]]);

  const csv = await gradebookTable({ id: projectId }, "2027-02-01", { section: sectionIds[1]! });
  expect([csv.includes("Ada"), csv.includes("Ben")]).toEqual([false, true]);
});
