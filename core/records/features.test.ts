import fc from "fast-check";
import { type FeaturedBuild, featureLines } from "./features";

const build = (id: string, features: string[], more: Partial<FeaturedBuild> = {}): FeaturedBuild => ({
  id,
  features,
  parents: [],
  value: null,
  faults: [],
  ...more,
});

test("a feature is followed from build to build: begun, inherited, dropped, begun again", () => {
  const [line] = featureLines([
    build("a", ["Flap valve"]),
    build("b", ["flap valve "], { parents: ["a"] }),
    build("c", [], { parents: ["b"] }),
    build("d", ["Flap Valve"], { parents: ["c"] }),
    build("e", [], { parents: ["c", "b"] }),
  ]);
  expect(line).toMatchObject({ feature: "Flap valve", seen: 3, begun: 2, inherited: 1, dropped: 2 });
});

test("how those that have it did against those that do not; unmeasured builds say nothing", () => {
  const lines = featureLines([
    build("a", ["x"], { value: 7 }),
    build("b", ["x"], { value: 9 }),
    build("c", ["x"]),
    build("d", ["y"], { value: 5 }),
  ]);
  expect(lines.map((l) => [l.feature, l.having, l.measured, l.lacking, l.others])).toEqual([
    ["x", 8, 2, 5, 1],
    ["y", 5, 1, 8, 2],
  ]);
  expect(featureLines([build("a", ["x"])])[0]).toMatchObject({ having: null, lacking: null, measured: 0, others: 0 });
});

test("what failed on the builds that have it, counted whatever its case", () => {
  const [line] = featureLines([
    build("a", ["x"], { faults: ["Seal leaks", "rod bent"] }),
    build("b", ["x"], { faults: ["seal leaks"] }),
    build("c", [], { faults: ["rod bent", "rod bent"] }),
  ]);
  expect(line!.faults).toEqual([
    { fault: "Seal leaks", times: 2 },
    { fault: "rod bent", times: 1 },
  ]);
});

test("every build that has a feature is counted once: begun or inherited", () => {
  const builds = fc.array(
    fc.record({
      features: fc.uniqueArray(fc.constantFrom("p", "q", "r")),
      value: fc.option(fc.integer({ min: 0, max: 9 })),
      parent: fc.nat(9),
    }),
    { minLength: 1, maxLength: 10 },
  );
  fc.assert(
    fc.property(builds, (drawn) => {
      const list = drawn.map((d, i) =>
        build(`${i}`, d.features, { value: d.value, parents: d.parent < i ? [`${d.parent}`] : [] }),
      );
      for (const l of featureLines(list)) {
        expect(l.begun + l.inherited).toBe(l.seen);
        expect(l.seen).toBe(drawn.filter((d) => (d.features as string[]).includes(l.feature)).length);
        expect(l.measured + l.others).toBe(drawn.filter((d) => d.value !== null).length);
        expect(l.dropped).toBeLessThanOrEqual(drawn.length - l.seen);
      }
    }),
  );
});
