import { unitsOf } from "@/core/quantity/systems";
import { aBuild, aRequirement, aState, aTeam, sessionsOn } from "@/stages/testing/rows";
import type { PartRow } from "../queries/parts";
import { limitsView } from "./limits";

const mass = aRequirement("R-03", { measure: "mass", comparator: "≤", target: "5", unit: "kg" } as never);
const shelf = aRequirement("R-04", {
  measure: "envelope",
  comparator: "fits",
  sides: ["0.6", "0.4", "0.4"],
  unit: "mm",
} as never);
const days = ["2027-02-01", "2027-02-08", "2027-02-15", "2027-02-22", "2027-03-01", "2027-03-08"];
const around = {
  today: "2027-02-22",
  end: "2027-03-08",
  calendars: new Map([["section", sessionsOn(...days)]]),
  currency: "cr",
  units: unitsOf("metric"),
  donated: "fair" as const,
};
const part = (buildId: string, name: string, kg: string) =>
  ({ buildId, name, count: 1, mass: kg, cost: null, source: "made" }) as unknown as PartRow;
const facts = aState({
  requirements: [mass, shelf],
  teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")],
  builds: [
    aBuild("Alder", 1, { mass: "1", stage: "mock-up" }),
    aBuild("Alder", 2, { mass: "4", builtOn: "2027-02-08" }),
    aBuild("Alder", 3, { mass: "4.8", builtOn: "2027-02-22", sides: ["0.61", "0.3", "0.3"] }),
    aBuild("Birch", 1, { mass: "3", builtOn: "2027-02-15" }),
  ],
});

test("what is left, what it comes to by the event, and from which part a saving can be had", () => {
  const parts = [part("Alder G3", "Frame", "2"), part("Alder G3", "Lever", "0.5"), part("Alder G2", "Old frame", "9")];
  const { limits, sizes } = limitsView(facts, parts, around);
  const [of] = limits;
  expect([of!.code, of!.words, of!.limit, of!.rows.map((r) => r.team)]).toEqual([
    "R-03",
    "≤ 5 kg",
    5,
    ["Alder", "Birch"],
  ]);
  // Two sessions since G2, one step of 0.8 kg; two sessions left: one more generation.
  expect(of!.rows[0]).toMatchObject({
    newest: "4.80",
    left: "0.20",
    contingency: 4,
    over: false,
    more: 1,
    forecast: "5.60",
    saving: "0.60",
    from: "30 % of Frame",
    leftValue: 0.2,
    trend: [
      { name: "G2", value: 4 },
      { name: "G3", value: 4.8 },
    ],
  });
  expect(of!.rows[1]).toMatchObject({ left: "2.00", more: 0, saving: null, from: "" });
  expect(sizes[0]!.rows).toEqual([{ team: "Alder", left: "−10 mm", over: true }]);
});

test("where no part alone is heavy enough, the heaviest are named; without a list there is nothing to name", () => {
  const from = (...parts: PartRow[]) => limitsView(facts, parts, around).limits[0]!.rows[0]!.from;
  expect(from(part("Alder G3", "Frame", "0.5"), part("Alder G3", "Lever", "0.2"))).toBe(
    "no part alone; most is in Frame (0.50), Lever (0.20)",
  );
  expect(from()).toBe("list its parts to see where from");
});

test("without a limit on mass or cost there is nothing to follow", () => {
  expect(limitsView(aState({ teams: [aTeam("Alder")] }), [], around)).toEqual({ limits: [], sizes: [] });
});
