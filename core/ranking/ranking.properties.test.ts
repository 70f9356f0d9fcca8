import fc from "fast-check";
import { type EntryRecord, type EventDefinition, standings } from "@/core/contest/standings";
import { rank } from "./rank";

const decimal = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => (n / 100).toString());

describe("ranking and standings", () => {
  const rule = { better: "more" as const, school: "competition" as const, resolution: "0.1", tieBreaks: [] };
  test("places do not depend on the order in which the candidates come", () =>
    fc.assert(
      fc.property(
        fc.array(decimal(0, 5), { minLength: 1, maxLength: 9 }),
        fc.infiniteStream(fc.nat()),
        (values, shuffle) => {
          const items = values.map((value, i) => ({ id: String(i), value, breaks: [] as string[] }));
          const mixed = items
            .map((x) => ({ x, k: shuffle.next().value as number }))
            .sort((a, b) => a.k - b.k)
            .map((y) => y.x);
          const places = (list: typeof items) => Object.fromEntries(rank(list, rule).map((r) => [r.id, r.place]));
          expect(places(mixed)).toEqual(places(items));
        },
      ),
    ));
  test("shared places add up to 1 + 2 + … + n", () =>
    fc.assert(
      fc.property(fc.array(decimal(0, 2), { minLength: 1, maxLength: 9 }), (values) => {
        const sum = rank(
          values.map((value, i) => ({ id: String(i), value, breaks: [] })),
          { ...rule, school: "shared" },
        ).reduce((s, r) => s + r.place!, 0);
        expect(sum).toBe((values.length * (values.length + 1)) / 2);
      }),
    ));
  const event: EventDefinition = {
    channel: "Q",
    unit: "L/min",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    ranking: "competition",
    resolution: "0.1",
    tieBreaks: ["lighter"],
    points: null,
    seed: "1",
  };
  const entry = (id: string, more: Partial<EntryRecord>): EntryRecord => ({
    id,
    name: id,
    attempts: [{ value: "8", state: "valid" }],
    mass: "4",
    inspectedAt: null,
    out: false,
    ...more,
  });
  test("who was turned away has no place; an unbroken tie is shared and says with whom", () => {
    const s = standings(event, [entry("a", {}), entry("b", {}), entry("c", { out: true }), entry("d", { mass: null })]);
    expect(s.map((x) => [x.id, x.place, x.shared])).toEqual([
      ["a", 1, true],
      ["b", 1, true],
      ["d", 3, false],
      ["c", null, false],
    ]);
    expect(s[0]!.working.warnings).toEqual(["Shares its place with b."]);
  });
});
