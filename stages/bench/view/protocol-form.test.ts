import type { ProtocolDefinition } from "@/core/run/protocol";
import { shelf } from "@/core/run/shelf";
import { definition } from "@/stages/testing/definition";
import { consequenceOf, definitionOf, type TypedMeasure, typedProtocol } from "./protocol-form";

/** Empty texts and lists are what a form adds: they say nothing. */
const plain = (d: ProtocolDefinition): unknown =>
  JSON.parse(JSON.stringify(d), (_, v) => (v === "" || (Array.isArray(v) && !v.length) ? undefined : v));

test.each([["a test's", definition] as const, ...shelf.map((t) => [t.key, t.definition] as const)])(
  "%s protocol comes out of its form as it went in",
  (_, d) => expect(plain(definitionOf(typedProtocol(d)))).toEqual(plain(d)),
);

const typed = (more: Partial<TypedMeasure>) =>
  definitionOf({
    ...typedProtocol(definition),
    definition: {
      ...definition,
      measures: [
        {
          key: "x",
          name: "X",
          kind: "number",
          levelsText: "",
          unit: "kg",
          resolution: "0.1",
          min: "1",
          max: "9",
          taken: "",
          takenUnit: "",
          takenChannel: "",
          takenStretch: "",
          takenLevel: "",
          takenWay: "up",
          takenTowards: "",
          ...more,
        },
      ],
    },
  }).measures[0];

test("what is not a number loses the unit and the range that were typed before", () => {
  expect(typed({ kind: "level", levelsText: " intact,  cracked ;broken," })).toEqual({
    key: "x",
    name: "X",
    unit: "1",
    resolution: "1",
    kind: "level",
    levels: ["intact", "cracked", "broken"],
  });
  expect(typed({ kind: "yes-no" })).toEqual({ key: "x", name: "X", unit: "1", resolution: "1", kind: "yes-no" });
  expect(typed({ kind: "count" })).toMatchObject({ unit: "1", kind: "count", min: "1", max: "9" });
  expect(typed({})).toEqual({ key: "x", name: "X", unit: "kg", resolution: "0.1", min: "1", max: "9" });
});

test("a rule for a series keeps what it needs, and its unit is the reading's unless another one is written", () => {
  const level = { takenLevel: "8", takenStretch: "5", takenWay: "down", takenTowards: "32" } as const;
  expect(typed({ taken: "peak", ...level })).toMatchObject({ take: { rule: "peak", unit: "kg" } });
  expect(typed({ taken: "mean", ...level })?.take).toEqual({ rule: "mean", unit: "kg", stretch: "5" });
  expect(typed({ taken: "crossing", takenUnit: " °C ", ...level })?.take).toEqual({
    rule: "crossing",
    unit: "°C",
    stretch: "5",
    level: "8",
    way: "down",
    towards: "32",
  });
  expect(typed({ kind: "count", taken: "peak", takenChannel: " strokes " })?.take).toEqual({
    rule: "peak",
    unit: "1",
    channel: "strokes",
  });
  expect(typed({ kind: "level", levelsText: "a, b", taken: "peak" })?.take).toBeUndefined();
});

test("cautions and steps are a line each; empty lines are none", () => {
  const d = definitionOf({ ...typedProtocol(definition), safetyText: "Ask.\n\n Eyes. \n", stepsText: "ball\nramp" });
  expect([d.safety, d.steps]).toEqual([
    ["Ask.", "Eyes."],
    ["ball", "ramp"],
  ]);
});

test("a new version says which runs compare no more, and which verdicts turn stale", () => {
  const p = { id: "p1", number: 2, runs: 160 };
  const asking = [
    { code: "R-03", measure: "run:p1:Q" },
    { code: "R-05", measure: "run:p2:Q" },
    { code: "R-07", measure: "run:p1:eta" },
    { code: "R-08", measure: null },
  ];
  expect(consequenceOf(p, asking)).toBe(
    "160 runs lean on version 2, so it stays as it was and a change makes version 3. Runs of the old version are not " +
      "compared with new ones; verdicts on R-03, R-07 that lean on them turn stale until they are run again or kept " +
      "with a reason.",
  );
  expect(consequenceOf({ ...p, runs: 1 }, [])).toContain("1 run leans on version 2");
  expect(consequenceOf({ ...p, runs: 0 }, [])).toContain("What is on record leans on version 2");
});
