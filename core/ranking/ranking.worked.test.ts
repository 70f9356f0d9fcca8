import fc from "fast-check";
import { rank } from "./rank";

describe("ranking", () => {
  const items = [
    ["c", "9.4"],
    ["a", "8.91"],
    ["g", "8.94"],
    ["e", "7.7"],
  ].map(([id, value]) => ({ id: id!, value: value!, breaks: [] as (string | null)[] }));
  const rule = { better: "more" as const, school: "competition" as const, resolution: "0.1", tieBreaks: [] };
  test("competition, dense and shared", () => {
    expect(rank(items, rule).map((r) => r.place)).toEqual([1, 2, 2, 4]);
    expect(rank(items, { ...rule, school: "dense" }).map((r) => r.place)).toEqual([1, 2, 2, 3]);
    expect(rank(items, { ...rule, school: "shared" }).map((r) => r.place)).toEqual([1, 2.5, 2.5, 4]);
  });
  test("order by the recorded digits is the other school", () =>
    expect(rank(items, { ...rule, resolution: null }).map((r) => r.id)).toEqual(["c", "g", "a", "e"]));
  test("a tie-break chain decides in order, and says so", () => {
    const r = rank(
      items.map((i) => ({ ...i, breaks: i.id === "a" ? ["8.7"] : i.id === "g" ? ["8.6"] : [null] })),
      { ...rule, tieBreaks: [{ label: "second-best attempt", better: "more" }] },
    );
    expect(r.map((x) => x.id)).toEqual(["c", "a", "g", "e"]);
    expect(r[1]!.decidedBy).toBe("second-best attempt");
    expect(r[0]!.decidedBy).toBeNull();
  });
  test("places are those of counting the better ones, whatever the order given", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 12 }), (values) => {
        const r = rank(
          values.map((v, i) => ({ id: String(i), value: String(v), breaks: [] })),
          { ...rule, resolution: null },
        );
        for (const x of r) expect(x.place).toBe(values.filter((v) => v > values[Number(x.id)]!).length + 1);
      }),
    ));
});
