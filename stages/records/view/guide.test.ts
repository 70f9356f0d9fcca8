import type { PartRow } from "@/stages/builds/queries/parts";
import type { StepRow } from "../queries/kept";
import { cautionLines, guideFaults, planOf } from "./guide";

const step = (over: Partial<StepRow>) => ({ partId: null, count: 1, at: null, ...over }) as StepRow;
const at = (x: string, y: string, z = "0") => ({ at: [x, y, z] });
const legs = { id: "leg", name: "leg", count: 4 } as unknown as PartRow;
const of = (steps: StepRow[], sides: string[] | null = null) =>
  guideFaults({ guide: { sides }, steps, parts: [legs] }).says;

describe("what is wrong with a guide", () => {
  test.each([
    ["left over", [step({ partId: legs.id, count: 3 })], ["1 × leg of the parts list is fitted by no step."]],
    ["too many", [step({ partId: legs.id, count: 5 })], ["leg is fitted 5 times, and the parts list has 4."]],
    [
      "one place",
      [step({ partId: legs.id, count: 4, ...at("0", "0") }), step(at("0", "0.0001"))],
      ["Steps 1 and 2 are at the same place."],
    ],
    ["nothing", [step({ partId: legs.id, count: 4 })], []],
  ])("%s", (_, steps, says) => expect(of(steps)).toEqual(says));

  test("places further apart than the build is large are said, where its size is known", () => {
    const steps = [step({ partId: legs.id, count: 4, ...at("0", "0") }), step(at("0.5", "0"))];
    expect(of(steps, ["0.4", "0.4", "0.4"])).toEqual(["The places are further apart than the build is large."]);
    expect(of(steps, ["0.4", "0.4", "0.6"])).toEqual([]);
    expect(of(steps)).toEqual([]);
  });
});

describe("the plan seen from above", () => {
  test("steps over each other share a mark, y goes up, and the datum is drawn where it lies within", () => {
    const plan = planOf([step(at("0", "0")), step({}), step(at("0.2", "0.1")), step(at("0.2", "0.1", "0.3"))])!;
    expect(plan.marks.map((m) => m.numbers)).toEqual([[1], [3, 4]]);
    const [first, second] = plan.marks;
    expect(second!.x).toBeGreaterThan(first!.x);
    expect(second!.y).toBeLessThan(first!.y);
    expect(plan.datum).toEqual({ x: first!.x, y: first!.y });
    expect(plan.width).toBeCloseTo(100);
  });

  test("a datum far outside is not drawn; without places there is no plan", () => {
    expect(planOf([step(at("5", "5")), step(at("5.1", "5"))])!.datum).toBeNull();
    expect(planOf([step({})])).toBeNull();
  });

  test("one place alone has a plan of a finite size", () => {
    const plan = planOf([step(at("0.1", "0.1"))])!;
    expect(Number.isFinite(plan.width) && plan.width > 0 && plan.height > 0).toBe(true);
  });
});

test("cautions are a line each", () =>
  expect(cautionLines(" Goggles on \n\nHot glue")).toEqual(["Goggles on", "Hot glue"]));
