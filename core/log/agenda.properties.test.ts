import fc from "fast-check";
import { agendaAt, readAgenda } from "./agenda";

const line = fc.oneof(
  fc.tuple(fc.integer({ min: 1, max: 40 }), fc.constantFrom("Plan", "Clean up")).map(([n, w]) => `${n} ${w}`),
  fc.constantFrom("Building", "Bench", "2nd build"),
);

test("parts lie one behind the other, and those without minutes take exactly what the fixed ones leave", () => {
  fc.assert(
    fc.property(fc.array(line, { maxLength: 8 }), fc.integer({ min: 10, max: 300 }), (lines, minutes) => {
      const { items, left } = readAgenda(lines.join("\n"), minutes);
      expect(items).toHaveLength(lines.length);
      items.forEach((x, i) => {
        expect(x.from).toBe(items[i - 1]?.to ?? 0);
        expect(x.to - x.from).toBe(x.minutes);
      });
      const open = items.filter((x) => lines.some((l) => l === x.what));
      const fixed = items.reduce((n, x) => n + x.minutes, 0) - open.reduce((n, x) => n + x.minutes, 0);
      expect(minutes - left).toBe(open.length ? Math.max(minutes, fixed) : fixed);
      for (const x of open) expect(Math.abs(x.minutes - open[0]!.minutes)).toBeLessThanOrEqual(1);
    }),
  );
});

test("minutes are read with and without their unit; a number that is part of a word is none", () => {
  const whats = (text: string) => readAgenda(text, 50).items.map((x) => [x.what, x.minutes]);
  expect(whats("10 Safety\n5 min Plan\n 7 minutes  Notebook \n\n2. Talk")).toEqual([
    ["Safety", 10],
    ["Plan", 5],
    ["Notebook", 7],
    ["2. Talk", 28],
  ]);
  expect(whats("2nd build")).toEqual([["2nd build", 50]]);
  expect(readAgenda("", 50)).toEqual({ items: [], left: 50 });
  expect(readAgenda("60 Test\nTalk", 50)).toMatchObject({ left: -10, items: [{ minutes: 60 }, { minutes: 0 }] });
});

test("at every minute one part is on, and none before the first or behind the last", () => {
  const { items } = readAgenda("8 Plan\nBuilding\n5 Clean up", 50);
  expect([-0.1, 0, 7.9, 8, 44.9, 45, 49.5, 50].map((m) => agendaAt(items, m)?.index ?? null)).toEqual([
    null,
    0,
    0,
    1,
    1,
    2,
    2,
    null,
  ]);
  expect(agendaAt(items, 44)?.left).toBe(1);
});
