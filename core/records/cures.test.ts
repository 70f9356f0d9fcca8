import fc from "fast-check";
import { cureLines, type Fault } from "./cures";

const fault = (over: Partial<Fault>): Fault => ({
  id: "a",
  mode: "jams",
  cause: "friction",
  team: "Alder",
  edition: "this year",
  build: 1,
  answeredBy: null,
  ranSince: false,
  ...over,
});

const heldOf = (faults: Fault[]) => cureLines(faults)[0]!.faults.map((f) => f.held);

describe("what cured a fault", () => {
  test.each([
    ["no build answers it", fault({}), "open"],
    ["the answering build was not run", fault({ answeredBy: 2 }), "untested"],
    ["the answering build was run without it", fault({ answeredBy: 2, ranSince: true }), "held"],
  ])("%s", (_, f, held) => expect(heldOf([f])).toEqual([held]));

  test("the same cause on the very build that answers it came back", () =>
    expect(
      heldOf([fault({ answeredBy: 2, ranSince: true }), fault({ id: "b", build: 2, cause: " Friction" })]),
    ).toEqual(["came back", "open"]));

  test("of another team, or another edition's team of that name, it did not come back", () => {
    const answered = fault({ answeredBy: 2, ranSince: true });
    expect(heldOf([answered, fault({ id: "b", build: 3, team: "Bramble" })])).toEqual(["held", "open"]);
    expect(heldOf([answered, fault({ id: "b", build: 3, edition: "last year" })])).toEqual(["held", "open"]);
  });

  test("what nobody named a cause of is known by what failed", () => {
    const lines = cureLines([fault({ cause: "", mode: "Leaks" }), fault({ id: "b", cause: "", mode: "leaks" })]);
    expect(lines.map((l) => [l.cause, l.times, l.builds])).toEqual([["Leaks", 2, 1]]);
  });

  const any = fc.array(
    fc.record({
      id: fc.uuid(),
      mode: fc.constantFrom("jams", "leaks"),
      cause: fc.constantFrom("", "friction", "slip"),
      team: fc.constantFrom("Alder", "Bramble"),
      edition: fc.constantFrom("one", "two"),
      build: fc.integer({ min: 1, max: 4 }),
      answeredBy: fc.option(fc.integer({ min: 2, max: 5 })),
      ranSince: fc.boolean(),
    }),
  );
  test("every fault is told once, the causes seen most often first", () =>
    fc.assert(
      fc.property(any, (faults) => {
        const lines = cureLines(faults);
        expect(lines.reduce((n, l) => n + l.faults.length, 0)).toBe(faults.length);
        for (const [i, l] of lines.entries()) {
          expect(l.times).toBe(l.faults.length);
          expect(l.held + l.cameBack).toBeLessThanOrEqual(l.times);
          if (i) expect(lines[i - 1]!.times).toBeGreaterThanOrEqual(l.times);
        }
      }),
    ));
});
