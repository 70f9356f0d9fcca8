// Each kind of project becomes a whole one; a project of one's own goes out as a file and comes in again as it was.
import { templateKind } from "@/core/vocabulary/project";
import { db } from "@/platform/db/db";
import { gatesOf } from "@/stages/plan/queries/gates";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { tasksOf } from "@/stages/plan/queries/tasks";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import { createFromTemplate } from "./commands";
import { kinds } from "./kinds";
import { templateOf } from "./queries";
import { readTemplate } from "./read";

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const dates = { startsOn: "2027-01-18", endsOn: "2027-03-26" };
const project = { title: "Begun", kind: "both", ...dates, sections: [{ name: "3", days: [1, 2, 4] }] };
const count = async () => (await db()<{ n: number }[]>`SELECT count(*)::int AS n FROM project`)[0]!.n;

test.each(templateKind.values)("%s becomes a project with everything that its template has", async (template) => {
  const { projectId } = await ok(createFromTemplate, at.boss, { ...project, title: template, template });
  const kind = kinds[template];
  const made = readTemplate(JSON.stringify(await templateOf(projectId)));
  if (!made.ok) throw new Error(made.message);
  const t = made.template;
  expect(t.brief).toBe(kind.brief);
  expect(t.requirements.map((r) => r.statement)).toEqual(
    kind.requirements.map((r) => (r as typeof r & { statement: string }).statement),
  );
  expect(t.requirements.filter((r) => r.protocol).length).toBe(kind.requirements.filter((r) => "protocol" in r).length);
  expect(t.protocols.map((x) => x.name)).toEqual(kind.protocols.map((x) => x.name));
  expect(t.events).toHaveLength(kind.events?.length ?? 0);
  expect(t.scheme!.components.map((x) => x.source?.kind)).toEqual(
    kind.scheme.components.map((x) => (x as { source: { kind: string } }).source.kind),
  );
  expect((await gatesOf(projectId))[0]!.items.length).toBeGreaterThanOrEqual(3);
  const tasks = await tasksOf(projectId);
  expect(tasks.map((x) => x.after.length)).toEqual(kind.tasks.map((x) => x.after?.length ?? 0));
});

test("milestones stand on sessions of each section's own calendar, as far into them as in the template", async () => {
  const { projectId } = await ok(createFromTemplate, at.boss, {
    ...project,
    title: "Two sections",
    template: "vehicle",
    sections: [
      { name: "A", days: [1] },
      { name: "B", days: [3] },
    ],
  });
  // Ten sessions instead of 24: the 13th stands on the fifth, the last one on the last.
  const due = (await milestonesOf(projectId)).map((m) => [m.title, m.dueOn, Object.values(m.dates)]);
  expect(due).toContainEqual(["It runs", "2027-02-15", ["2027-02-17"]]);
  expect(due).toContainEqual(["Runs on the day", "2027-03-22", ["2027-03-24"]]);
});

test("a project's own template has no name of a person in it, and comes in as it went out", async () => {
  const sent = await templateOf(at.w.projectId);
  const text = JSON.stringify(sent);
  for (const name of at.w.names) expect(text).not.toContain(name);
  const { projectId } = await ok(createFromTemplate, at.boss, { ...project, title: "Again", file: text });
  // The new one has a class more: the plan is stretched to it, and milestones of one day stand by their titles.
  const parts = (t: object) => {
    const { project: _, name: __, about: ___, sessions: ____, milestones, ...rest } = t as Record<string, unknown>;
    const due = (milestones as { title: string; session: number }[]).map(({ session: _, ...m }) => m);
    return { ...rest, milestones: due.toSorted((a, b) => a.title.localeCompare(b.title)) } as Record<string, unknown>;
  };
  const { scheme, ...rest } = parts(sent);
  const again = parts(await templateOf(projectId));
  expect(again).toMatchObject(rest);
  // What leaned on nothing that a template holds is entered by hand; the rest stands as it was.
  expect((again.scheme as { components: unknown[] }).components).toHaveLength(
    (scheme as { components: unknown[] }).components.length,
  );
});

test("a file that does not hold together makes nothing, and says where", async () => {
  const before = await count();
  const wrong = async (change: (t: Record<string, object[]>) => void) => {
    const t = structuredClone(kinds.vehicle) as unknown as Record<string, object[]>;
    change(t);
    const r = await refused(createFromTemplate, at.boss, { ...project, file: JSON.stringify(t) });
    return "fields" in r ? (r.fields as { file: string }).file : r.message;
  };
  expect(await wrong((t) => Object.assign(t.requirements![3]!, { protocol: "Run away" }))).toBe(
    "requirement “It stops at most 80 mm from the mark”: there is no protocol “Run away” in this template.",
  );
  expect(await wrong((t) => Object.assign(t.requirements![3]!, { measure: "x" }))).toBe(
    "requirement “It stops at most 80 mm from the mark”: This protocol does not measure that.",
  );
  expect(await wrong((t) => Object.assign(t.tasks![1]!, { after: ["Nothing"] }))).toContain("task “A stop of card");
  expect(await wrong((t) => t.protocols!.pop())).toContain("there is no protocol “Rolling along the line”");
  expect(await refused(createFromTemplate, at.boss, project)).toMatchObject({
    fields: { file: "Choose a kind of project, or a file." },
  });
  expect(await refused(createFromTemplate, at.boss, { ...project, file: "no" })).toMatchObject({
    fields: { file: expect.stringContaining("a JSON file") },
  });
  expect(await count()).toBe(before);
  await refused(createFromTemplate, at.mate, { ...project, template: "drop" });
});
