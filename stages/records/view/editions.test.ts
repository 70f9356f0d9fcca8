import type { EditionRow } from "../queries/editions";
import { editionChanges, editionCounts, measureLines } from "./editions";

const edition = (over: object): EditionRow =>
  ({
    id: "e",
    title: "E",
    slug: "e",
    startsOn: "2027-01-01",
    endsOn: "2027-03-01",
    currency: "cr",
    teams: 2,
    builds: 5,
    brief: "",
    requirements: [],
    protocols: [],
    events: [],
    rubrics: [],
    milestones: [],
    scheme: null,
    ...over,
  }) as unknown as EditionRow;
const requirement = (over: object) => ({
  code: "R-02",
  statement: "Is carried by one person",
  priority: "must",
  measure: "mass",
  comparator: "≤",
  target: "6",
  second: null,
  sides: null,
  unit: "kg",
  method: "inspection",
  ...over,
});
/** A test of the same name, under each edition's own id. */
const protocol = (id: string) => ({
  id,
  name: "Lift test",
  definition: {
    conditions: [],
    measures: [{ key: "V", name: "Volume", unit: "L", resolution: "0.05" }],
    constants: [],
    derived: [],
    primary: "V",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    safety: [],
  },
});
const facts = (before: object, after: object, part: string) =>
  editionChanges(edition(before), edition(after), true)
    .find((p) => p.title === part)!
    .changes.flatMap((c) => c.facts);

test("a limit that moved is told in its own unit; what did not move is not", () => {
  const moved = facts(
    { requirements: [requirement({})] },
    { requirements: [requirement({ target: "5" })] },
    "Requirements",
  );
  expect(moved).toEqual([{ what: "Limit", before: "≤ 6 kg", after: "≤ 5 kg" }]);
});

test("a cost is told in each edition's currency", () => {
  const cost = { measure: "cost", unit: "1", target: "45" };
  const moved = facts(
    { requirements: [requirement(cost)] },
    { requirements: [requirement(cost)], currency: "kr" },
    "Requirements",
  );
  expect(moved).toEqual([{ what: "Limit", before: "≤ 45 cr", after: "≤ 45 kr" }]);
});

test("the same measure of the same protocol is no change, though the protocol's id is another", () => {
  const of = (id: string) => {
    const measured = requirement({ measure: `run:${id}:V`, unit: "L" });
    return { protocols: [protocol(id)], requirements: [measured] };
  };
  const [a, b] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"] as const;
  expect(editionChanges(edition(of(a)), edition(of(b)), true).flatMap((p) => p.changes)).toEqual([]);
});

test("a rule whose number changed is the same rule", () => {
  const rules = (kg: string) => ({ brief: `## Rules\n\n- Weighs at most ${kg} kg\n` });
  expect(facts(rules("6.0"), rules("5.0"), "Rules with numbers")).toEqual([
    { what: "Rule", before: "Weighs at most 6.0 kg", after: "Weighs at most 5.0 kg" },
  ]);
});

test("a rubric's criterion, an event's points and a component's rule are told as they are read", () => {
  const criterion = (weight: string) => ({
    key: "a",
    name: "Idea",
    weight,
    levels: [
      { points: "0", descriptor: "none" },
      { points: "2", descriptor: "its own" },
    ],
  });
  const rubrics = (weight: string) => ({
    rubrics: [{ name: "Design", definition: { criteria: [criterion(weight)] } }],
  });
  expect(facts(rubrics("1"), rubrics("2"), "Rubrics")).toEqual([
    { what: "Idea", before: "weight 1: 0 none · 2 its own", after: "weight 2: 0 none · 2 its own" },
  ]);
  const event = (limit: string) => ({
    events: [
      {
        name: "Fill",
        format: "attempts",
        weight: "1",
        protocol: null,
        definition: { unit: "kg", points: { kind: "pass", points: "10", comparator: "≤", limit } },
      },
    ],
  });
  expect(facts(event("5"), event("4"), "Events")).toEqual([
    {
      what: "Points",
      before: "10 points when the value is ≤ 5 kg, else none.",
      after: "10 points when the value is ≤ 4 kg, else none.",
    },
  ]);
  const scheme = (over: object, weight = "40") => ({
    scheme: { decimals: 0, components: [{ key: "m", name: "Mass", weight, source: { kind: "points", ...over } }] },
  });
  const mass = { measure: { recorded: "mass" }, rule: { kind: "ratio", points: "100", better: "less" }, full: "100" };
  expect(facts(scheme(mass), scheme({ ...mass, full: "90" }, "60"), "What is graded")).toEqual([
    { what: "Weight", before: "40", after: "60" },
    { what: "Full marks", before: "100", after: "90" },
  ]);
});

test("a scheme that comes new is new with all of it; a measure of the same protocol under another id is none", () => {
  const graded = (id: string) => ({
    protocols: [protocol(id)],
    scheme: {
      decimals: 1,
      components: [
        {
          key: "v",
          name: "Volume",
          weight: "100",
          source: {
            kind: "points",
            full: "10",
            rule: { kind: "pass", points: "10", comparator: "≥", limit: "2" },
            measure: { protocol: id, channel: "V" },
          },
        },
      ],
    },
  });
  const part = (before: object, after: object) =>
    editionChanges(edition(before), edition(after), true).find((p) => p.title === "What is graded")!;
  expect(part(graded("one"), graded("two"))).toMatchObject({ changes: [], same: 2 });
  expect(part({}, graded("two")).changes.map((c) => [c.kind, c.name])).toEqual([
    ["new", "The whole grade"],
    ["new", "Volume"],
  ]);
});

test("how it is marked is told to instructors alone", () => {
  const titles = (staff: boolean) => editionChanges(edition({}), edition({}), staff).map((p) => p.title);
  expect(titles(true).filter((t) => !titles(false).includes(t))).toEqual(["Rubrics", "What is graded"]);
});

test("what a grade asks for is called by its name, in each edition's own words", () => {
  const asked = (id: string, title: string) => ({
    milestones: [{ id, title }],
    events: [{ id: `e${id}`, name: title, format: "attempts", weight: "1", protocol: null, definition: null }],
    scheme: {
      decimals: 0,
      components: [
        { key: "m", name: "On time", weight: "1", source: { kind: "milestone", milestone: id } },
        {
          key: "e",
          name: "Contest",
          weight: "1",
          source: {
            kind: "points",
            full: "10",
            rule: { kind: "place", points: ["10"] },
            measure: { event: `e${id}` },
          },
        },
      ],
    },
  });
  expect(facts(asked("1", "Drawing"), asked("2", "Drawing"), "What is graded")).toEqual([]);
  expect(facts(asked("1", "Drawing"), asked("2", "Model"), "What is graded")).toEqual([
    { what: "Milestone", before: "Drawing", after: "Model" },
    { what: "Measured", before: "Drawing", after: "Model" },
  ]);
});

test("an edition without teams has no builds a team", () => {
  const perTeam = editionCounts.find((c) => c.label === "Builds a team")!;
  expect([perTeam.of(edition({})), perTeam.of(edition({ teams: 0 }))]).toEqual(["2.5", "–"]);
});

test("the best by the measure's direction, and the median of the builds' bests", () => {
  const line = (better: string) =>
    ({
      protocol: { id: "p", name: "Lift test", definition: { better } },
      channel: { key: "Q", name: "Flow", unit: "L/min" },
    }) as unknown as Parameters<typeof measureLines>[0][number];
  const best = (value: number, number: number) =>
    ({ projectId: "e", protocol: "Lift test", key: "Q", team: "A", number, value }) as unknown as Parameters<
      typeof measureLines
    >[1][number];
  const bests = [best(9, 1), best(6, 2), best(12, 3)];
  expect(measureLines([line("more")], bests)[0]!.of).toEqual({
    e: { best: "12.00", by: "A G3", median: "9.00", builds: 3 },
  });
  expect(measureLines([line("less")], bests)[0]!.of.e!.by).toBe("A G2");
  expect(measureLines([line("more")], [])).toEqual([]);
});
