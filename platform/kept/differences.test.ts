import { differences, stable } from "./differences";

test("the order of keys makes no difference, that of a list does", () => {
  expect(stable({ b: 1, a: { d: [2, 1], c: null } })).toBe(stable({ a: { c: null, d: [2, 1] }, b: 1 }));
  expect(stable([1, 2])).not.toBe(stable([2, 1]));
});

test("what differs, what is missing and what is too much is named; what agrees is not", () => {
  const kept = new Map([
    ["same", "1"],
    ["moved", "1"],
    ["left over", "3"],
  ]);
  const computed = new Map([
    ["same", "1"],
    ["moved", "2"],
    ["missing", "4"],
  ]);
  expect(differences("Pump", kept, computed)).toEqual([
    { project: "Pump", what: "moved", kept: "1", computed: "2" },
    { project: "Pump", what: "missing", kept: "nothing", computed: "4" },
    { project: "Pump", what: "left over", kept: "3", computed: "nothing" },
  ]);
});
