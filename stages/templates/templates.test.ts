// Each kind of project is a whole template: it reads as a file, its rules are its requirements, and its plan fits.
import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { templateKind } from "@/core/vocabulary/project";
import { kinds } from "./kinds";
import { readTemplate } from "./read";
import type { Template } from "./schema";
import { stretched, stretchedLength } from "./stretch";

const read = (text: string) => {
  const r = readTemplate(text);
  if (!r.ok) throw new Error(r.message);
  return r.template;
};
const all = templateKind.values.map((key) => [key, read(JSON.stringify(kinds[key]))] as const);

test.each(all)("%s reads as a file, and its protocols hold together", (_, t: Template) => {
  for (const p of t.protocols) expect(checkProtocol(p.definition as unknown as ProtocolDefinition)).toEqual([]);
  expect(t.protocols.length).toBeGreaterThan(0);
  expect(t.requirements.filter((r) => r.priority === "must").length).toBeGreaterThanOrEqual(6);
  expect(t.tools.every((x) => x.caution)).toBe(true);
  expect(t.protocols.every((p) => p.definition.safety?.length)).toBe(true);
});

test.each(all)(
  "%s: every rule of its brief that holds a number is a requirement in the same words",
  (_, t: Template) => {
    const rules = /## Rules\n\n([\s\S]*?)\n\n##/
      .exec(t.brief)![1]!
      .split("\n")
      .map((l) => l.slice(2));
    const statements = t.requirements.map((r) => r.statement);
    for (const rule of rules.filter((r) => /\d/.test(r) && !/drawn between|N? ?slips/.test(r)))
      expect(statements).toContain(rule);
  },
);

test.each(all)("%s: its grade adds up to 100 %, and its plan lies within its sessions", (_, t: Template) => {
  const total = t.scheme!.components.reduce((n, x) => n + Number(x.weight), 0);
  expect(total).toBe(100);
  for (const m of t.milestones) expect(m.session).toBeLessThanOrEqual(t.sessions);
  expect(t.milestones.some((m) => m.gate)).toBe(true);
  // Along the longest chain of tasks the sessions are enough.
  const ends = new Map<string, number>();
  for (const task of t.tasks) {
    const before = Math.max(0, ...(task.after as string[]).map((a) => ends.get(a) ?? 0));
    ends.set(task.title, before + task.length);
    if (task.milestone) ends.set(task.milestone, Math.max(ends.get(task.milestone) ?? 0, before + task.length));
  }
  for (const m of t.milestones) expect([m.title, (ends.get(m.title) ?? 0) <= m.session]).toEqual([m.title, true]);
});

test("what is wrong in a file is said with its place, counted as people count", () => {
  const broken = (change: (t: Template) => void) => {
    const t = structuredClone(kinds.vehicle) as unknown as Template;
    change(t);
    return readTemplate(JSON.stringify(t));
  };
  expect(readTemplate("{")).toMatchObject({ ok: false, message: expect.stringContaining("a JSON file") });
  expect(readTemplate("{}")).toEqual({ ok: false, message: expect.stringContaining("not a project template") });
  expect(broken((t) => Object.assign(t, { version: 2 }))).toMatchObject({
    message: expect.stringContaining("newer version"),
  });
  expect(broken((t) => Object.assign(t.requirements[3]!, { target: "soon" }))).toEqual({
    ok: false,
    message: expect.stringMatching(/^requirements 4, target: /),
  });
  expect(broken((t) => Object.assign(t.milestones[0]!, { session: 0 }))).toMatchObject({
    message: "milestones 1, session: At least 1.",
  });
});

test("a plan is stretched to the sessions that there are", () => {
  expect([1, 12, 24].map((s) => stretched(s, 24, 48))).toEqual([2, 24, 48]);
  expect([1, 2, 24].map((s) => stretched(s, 24, 6))).toEqual([1, 1, 6]);
  expect(stretched(3, 24, 0)).toBe(0);
  expect([1, 3, 4].map((n) => stretchedLength(n, 24, 12))).toEqual([1, 2, 2]);
  expect(stretchedLength(3, 24, 0)).toBe(3);
});
