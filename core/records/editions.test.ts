import fc from "fast-check";
import { changesBetween, type EditionItem } from "./editions";

const item = (key: string, name: string, facts: Record<string, string> = {}): EditionItem => ({ key, name, facts });

describe("what changed between editions", () => {
  test("a code that the next class gave to something of the same name is the same thing", () => {
    const { changes, same } = changesBetween([item("R-02", "Leaks nothing")], [item("R-07", "leaks NOTHING ")]);
    expect(changes).toEqual([]);
    expect(same).toBe(1);
  });

  test("one of a name is a partner once", () => {
    const { changes } = changesBetween([item("a", "Mass")], [item("b", "Mass"), item("c", "Mass")]);
    expect(changes).toEqual([{ kind: "new", name: "Mass", facts: [] }]);
  });

  test("a fact that came and one that went are both told", () => {
    const { changes } = changesBetween(
      [item("a", "Lift", { lane: "1", unit: "L" })],
      [item("a", "Lift", { unit: "L", prize: "cup" })],
    );
    expect(changes[0]!.facts).toEqual([
      { what: "prize", before: "", after: "cup" },
      { what: "lane", before: "1", after: "" },
    ]);
  });

  const items = fc.uniqueArray(fc.record({ key: fc.constantFrom(..."abcdef"), limit: fc.constantFrom("1", "2") }), {
    selector: (i) => i.key,
  });
  const made = (list: { key: string; limit: string }[]) => list.map((i) => item(i.key, i.key, { limit: i.limit }));

  test("nothing changed against itself; backwards, new is gone and the same stay the same", () => {
    fc.assert(
      fc.property(items, items, (a, b) => {
        expect(changesBetween(made(a), made(a))).toEqual({ changes: [], same: a.length });
        const there = changesBetween(made(a), made(b));
        const back = changesBetween(made(b), made(a));
        const names = (of: typeof there, kind: string) =>
          of.changes.flatMap((c) => (c.kind === kind ? [c.name] : [])).sort();
        expect(names(there, "new")).toEqual(names(back, "gone"));
        expect(names(there, "changed")).toEqual(names(back, "changed"));
        expect(there.same).toBe(back.same);
        expect(there.same + there.changes.filter((c) => c.kind !== "gone").length).toBe(b.length);
      }),
    );
  });
});
