import fc from "fast-check";
import { separate, type Variables } from "./variables";

const old: Variables = { valve: "flap", stroke: "0.25 m", hose: "19 mm", handle: "0.4 m" };
const after: Variables = { valve: "ball", stroke: "0.30 m", hose: "25 mm", handle: "0.4 m" };

/** How many of the columns are independent, by another way than the core's: rows reduced to steps. */
function rank(rows: readonly (readonly number[])[]): number {
  const m = rows.map((r) => [...r]);
  let at = 0;
  for (let c = 0; c < (m[0]?.length ?? 0) && at < m.length; c++) {
    const p = m.findIndex((r, i) => i >= at && Math.abs(r[c]!) > 1e-9);
    if (p < 0) continue;
    [m[at], m[p]] = [m[p]!, m[at]!];
    for (let i = 0; i < m.length; i++)
      if (i !== at) {
        const by = m[i]![c]! / m[at]![c]!;
        m[i] = m[i]!.map((x, k) => x - by * m[at]![k]!);
      }
    at++;
  }
  return at;
}

test("three changes at once need two builds more, one less for each on record that tells something", () => {
  expect(separate(old, after, [])).toMatchObject({
    kind: "confounded",
    further: [
      { variable: "valve", value: "ball" },
      { variable: "stroke", value: "0.30 m" },
    ],
  });
  const onlyValve = { ...old, valve: "ball" };
  expect(separate(old, after, [onlyValve]).further).toEqual([{ variable: "stroke", value: "0.30 m" }]);
  expect(separate(old, after, [onlyValve, { ...old, hose: "25 mm" }])).toMatchObject({ kind: "clean", helped: [0, 1] });
});

test("what has a third value, or differs in something else, or repeats what is known, does not help", () => {
  const useless = [{ ...old, valve: "cone" }, { ...old, valve: "ball", handle: "0.5 m" }, old, after];
  expect(separate(old, after, useless)).toMatchObject({ helped: [], kind: "confounded" });
  expect(separate(old, after, useless).further).toHaveLength(2);
});

test("one change is clean, none is a repeat, and one that only one build names is a change", () => {
  expect(separate(old, { ...old, valve: "ball" }, []).kind).toBe("clean");
  expect(separate(old, old, []).kind).toBe("repeat");
  expect(separate({}, { valve: "ball" }, []).changed).toEqual(["valve"]);
});

test("what is named is enough and none too many, whatever is on record", () => {
  const names = ["a", "b", "c", "d", "e"];
  const set = (bits: readonly boolean[]) => Object.fromEntries(names.map((n, i) => [n, bits[i] ? "new" : "old"]));
  const row = (v: Variables) => names.map((n) => (v[n] === "new" ? 1 : 0));
  const bits = fc.array(fc.boolean(), { minLength: 5, maxLength: 5 });
  fc.assert(
    fc.property(fc.array(bits, { maxLength: 6 }), (records) => {
      const [a, b] = [set(names.map(() => false)), set(names.map(() => true))];
      const others = records.map(set);
      const told = separate(a, b, others);
      const known = rank([row(b), ...others.map(row)]);
      const further = told.further.map((f) => row({ ...a, [f.variable]: f.value }));
      expect(rank([row(b), ...others.map(row), ...further])).toBe(5);
      expect(further.length).toBe(5 - known);
      expect(told.helped.length).toBe(known - 1);
    }),
  );
});
