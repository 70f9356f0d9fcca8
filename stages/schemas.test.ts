import type { Schema } from "yup";
import { unitsOf } from "@/core/quantity/systems";
import { asEntered, entered, readSides, siOrNull } from "@/platform/schema/entered";
import { firstInstructor } from "@/platform/sign-in/schema";
import { run } from "@/stages/bench/schema";
import { brief } from "@/stages/brief/schema";
import { build } from "@/stages/builds/schema";
import { event } from "@/stages/contest/schema";
import { marks, scheme } from "@/stages/grades/schema";
import { requirement, setAside } from "@/stages/needs/schema";
import { guestLink } from "@/stages/people/schema";
import { newProject } from "@/stages/plan/schema";

const id = "0190a0b0-0000-7000-8000-000000000000";

/** Every message of a refusal by its field; empty when the input is fine. */
async function faults(schema: Schema, input: object): Promise<Record<string, string>> {
  try {
    await schema.validate(input, { abortEarly: false });
    return {};
  } catch (e) {
    return Object.fromEntries(
      (e as { inner: { path: string; message: string }[] }).inner.map((x) => [x.path, x.message]),
    );
  }
}

test("a statement is set aside for a reason, and taken up again without one", async () => {
  expect(await faults(setAside, { id, aside: true, reason: " " })).toEqual({ reason: "This is needed." });
  expect(await faults(setAside, { id, aside: false })).toEqual({});
  expect(await faults(setAside, { id, reason: "a wish" })).toEqual({ aside: "This is needed." });
});

describe("requirement", () => {
  const base = { projectId: id, statement: "S", kind: "constraint", priority: "must" };
  test.each([
    [{ comparator: "≤", unit: "kg", target: "5 lb" }, {}],
    [{ comparator: "≤", unit: "kg", target: "" }, { target: "Give the number, for example 5.0 kg." }],
    [
      { comparator: "≤", unit: "kg", target: "5 s" },
      { target: "“s” is a time; this field takes a mass, for example in kg." },
    ],
    [
      { comparator: "≤", unit: "stone", target: "5" },
      { unit: "This unit is not known here. Write for example kg, mm, L/min, N, s, %." },
    ],
    [
      { comparator: "±", unit: "m", target: "1.6" },
      { second: "Give the second number: the tolerance, or the upper limit." },
    ],
    [{ comparator: "fits", sides: "600 × 400" }, { sides: "Write three sides, for example 600 × 400 × 400 mm." }],
    [{ comparator: "fits", sides: "600 x 400 x 400 mm" }, {}],
    [{ comparator: "yes" }, {}],
    [{ statement: "" }, { statement: "This is needed." }],
    [{ priority: "maybe" }, { priority: "Choose one of the list." }],
  ])("%j", async (more, wanted) => expect(await faults(requirement, { ...base, ...more })).toEqual(wanted));
});

describe("project", () => {
  const base = {
    title: "T",
    kind: "both",
    startsOn: "2027-01-18",
    endsOn: "2027-03-26",
    sections: [{ name: "3", days: [1] }],
  };
  test.each([
    [{}, {}],
    [{ startsOn: "18.1.2027" }, { startsOn: "Write a date as YYYY-MM-DD." }],
    [{ endsOn: "2027-01-01" }, { endsOn: "The last day is before the first day." }],
    [{ eventOn: "2028-01-01" }, { eventOn: "The event lies outside the project's dates." }],
    [{ sections: [] }, { sections: "A project runs in at least one section." }],
    [{ sections: [{ name: "3", days: [] }] }, { "sections[0].days": "Choose at least one weekday." }],
    [
      { sections: [{ name: "3", pattern: "cycle", cycleLength: 4, cycleDay: 5 }] },
      { "sections[0].cycleDay": "The day lies outside the cycle." },
    ],
    [{ sections: [{ name: "3", pattern: "cycle", cycleLength: 4, cycleDay: 2 }] }, {}],
  ])("%j", async (more, wanted) => expect(await faults(newProject, { ...base, ...more })).toEqual(wanted));
  test("a brief must say something", async () =>
    expect(await faults(brief, { projectId: id, baseNumber: 0, body: "   " })).toEqual({ body: "Write the brief." }));
});

describe("people", () => {
  test("a short password and a wrong address are both named", async () =>
    expect(await faults(firstInstructor, { name: "M", email: "m@", password: "short" })).toEqual({
      email: "Write an email address, for example name@school.example.",
      password: "At least 10 characters; a short sentence is good.",
    }));
  test("a guest link lives a year at the most", async () =>
    expect(await faults(guestLink, { projectId: id, role: "client", label: "C", days: 900 })).toEqual({
      days: "At most 366.",
    }));
});

describe("builds and runs", () => {
  const base = { teamId: id, stage: "mock-up", builtOn: "2027-02-01", whatChanged: "x" };
  test.each([
    [{ mass: "4 kg", sides: "580 × 380 × 390 mm", variables: "stroke = 0.25 m\n" }, {}],
    [{ mass: "heavy" }, { mass: "“heavy” cannot be read as a number with a unit. Write it like 4.2 kg." }],
    [{ variables: "stroke 0.25" }, { variables: "Write one a line, like: stroke = 0.25 m" }],
  ])("%j", async (more, wanted) => expect(await faults(build, { ...base, ...more })).toEqual(wanted));
  test("readings are texts by symbol, of bounded length", async () => {
    const base0 = { id, buildId: id, protocolVersionId: id };
    expect(await faults(run, { ...base0, readings: { m: "8.6" } })).toEqual({});
    expect(Object.keys(await faults(run, { ...base0, readings: { m: 8.6 } }))).toEqual(["readings"]);
    expect(Object.keys(await faults(run, { ...base0, readings: { m: "8".repeat(100) } }))).toEqual(["readings"]);
  });
});

describe("judging", () => {
  test("marks come as many as a class has, each of somebody", async () => {
    const base = { projectId: id };
    const one = { personId: id, component: "book", typed: "17 of 20" };
    expect(await faults(marks, { ...base, marks: [one] })).toEqual({});
    expect(await faults(marks, { ...base, marks: [] })).toEqual({ marks: "There is no mark to enter." });
    expect(await faults(marks, { ...base, marks: Array(4001).fill(one) })).toEqual({
      marks: "Enter at most 4,000 marks at once.",
    });
    expect(Object.keys(await faults(marks, { ...base, marks: [{ ...one, personId: "" }] }))).toEqual([
      "marks[0].personId",
    ]);
  });
  test("an event with ties at a resolution names it", async () => {
    const base = {
      projectId: id,
      name: "E",
      protocolId: id,
      channel: "Q",
      better: "more",
      school: "best",
      n: 3,
      foul: "out",
      ranking: "competition",
      seed: "1",
    };
    expect(await faults(event, { ...base, ties: "resolution" })).toEqual({
      resolution: "Give the instrument's resolution, for example 0.1.",
    });
    expect(await faults(event, { ...base, ties: "digits" })).toEqual({});
  });
  test("a scheme's numbers are numbers", async () =>
    expect(
      await faults(scheme, {
        projectId: id,
        baseNumber: 0,
        decimals: 1,
        components: [{ key: "a", name: "A", weight: "lots", source: { kind: "entered" } }],
      }),
    ).toEqual({ "components[0].weight": "Write a number, for example 7.5." }));
});

test("sides take the unit that stands last, or one each; empty quantities are nothing", () => {
  expect(readSides("60 × 40 × 40 cm", "mm")).toEqual(["0.6", "0.4", "0.4"]);
  expect(readSides("60 cm x 400 mm x 0.4 m", "mm")).toEqual(["0.6", "0.4", "0.4"]);
  expect(readSides("60 × 40", "mm")).toBeNull();
  expect([siOrNull("", "kg"), siOrNull("500 g", "kg")]).toEqual([null, "0.5"]);
});

describe("what was typed", () => {
  const typed = { mass: "9 lb 4 oz", cost: "$35", sides: "18 × 12 × 14 in" };
  const kept = {
    mass: siOrNull(typed.mass, "kg"),
    cost: siOrNull(typed.cost, "1"),
    sides: readSides(typed.sides, "mm"),
  };
  test("comes back into the form as it was typed", () =>
    expect(asEntered({ ...kept, entered: entered(typed) }, unitsOf("us"))).toEqual(typed));
  test("is exact where nothing is known of the typing, so that saving without a change changes nothing", () => {
    const shown = asEntered({ ...kept, entered: {} }, unitsOf("metric"));
    expect(shown.sides).toBe("457.2 × 304.8 × 355.6 mm");
    expect([siOrNull(shown.mass, "kg"), siOrNull(shown.cost, "1"), readSides(shown.sides, "mm")]).toEqual([
      kept.mass,
      kept.cost,
      kept.sides,
    ]);
  });
  test("a bare number stands as typed only while it means the same: not after the units were changed", () => {
    const bare = { mass: "9", cost: "", sides: "18 × 12 × 14" };
    const us = { mass: siOrNull("9", "lb"), cost: null, sides: readSides(bare.sides, "in"), entered: entered(bare) };
    expect(asEntered(us, unitsOf("us"))).toMatchObject({ mass: "9", sides: "18 × 12 × 14" });
    expect(asEntered(us, unitsOf("metric"))).toMatchObject({
      mass: "4.08233133 kg",
      sides: "457.2 × 304.8 × 355.6 mm",
    });
  });
  test("of nothing is nothing", () => {
    expect(entered({ mass: "", cost: "", sides: "" })).toEqual({});
    expect(asEntered({ mass: null, cost: null, sides: null, entered: {} }, unitsOf("us"))).toEqual({
      mass: "",
      cost: "",
      sides: "",
    });
  });
});
