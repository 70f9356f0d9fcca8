import { ruleDiffers, rulesWithNumbers } from "@/core/brief/brief";
import { gateStates, mayBuild } from "@/core/gates/gate";
import { shareOfParts } from "@/core/teams/parts";
import { labelledPairs } from "@/core/testing/labelled-pairs";
import { clashingStatements } from "./conflicts";
import { measureDuplicates } from "./duplicates-report";
import { groupAlike } from "./similarity";

describe("brief, needs and gates", () => {
  test("a changed number shows both places, a changed unit does not", () => {
    const [mass, size, temperature, cost] = rulesWithNumbers(
      "## Rules\n\n- At most **11 lb**\n- Fits 600 × 400 × 400 mm\n- Kept at 2–8 °C\n- Parts at most " +
        "45.00\n- One operator\n",
    );
    const limit = (comparator: "≤" | "between" | "fits", target: string | null, unit: string, more: object = {}) => ({
      comparator,
      target,
      second: null,
      sides: null,
      unit,
      ...more,
    });
    expect(ruleDiffers(mass!, limit("≤", "5", "kg"))).toBe("the rule says 11 lb, the requirement ≤ 5 kg");
    expect(ruleDiffers(mass!, limit("≤", "4.98951607", "kg"))).toBeNull();
    expect(ruleDiffers(size!, limit("fits", null, "mm", { sides: ["0.4", "0.6", "0.4"] }))).toBeNull();
    expect(ruleDiffers(size!, limit("fits", null, "mm", { sides: ["0.4", "0.5", "0.4"] }))).toContain(
      "600 × 400 × 400 mm",
    );
    expect(ruleDiffers(temperature!, limit("between", "275.15", "°C", { second: "281.15" }))).toBeNull();
    expect(ruleDiffers(temperature!, limit("between", "275.15", "°C", { second: "283.15" }))).toContain("2 to 10 °C");
    expect(ruleDiffers(cost!, limit("≤", "45", "1"))).toBeNull();
  });
  test("the labelled pairs are told apart well enough to be worth a person's look", () => {
    const r = measureDuplicates(labelledPairs);
    expect(r.pairs).toBeGreaterThanOrEqual(60);
    expect(r.precision).toBeGreaterThan(0.8);
    expect(r.recall).toBeGreaterThan(0.85);
  });
  test("what a person told apart is never joined again", () => {
    const list = ["Quiet near readers", "Not noisy near the readers", "Readers near the pump want it quiet"];
    expect(groupAlike(list)[0]!.members).toEqual([0, 1, 2]);
    expect(
      groupAlike(list, { apart: new Set(["0/1"]) }).flatMap((g) => [g.members.includes(0) && g.members.includes(1)]),
    ).not.toContain(true);
  });
  test("conflicts are found across units, and only where both speak of the same", () => {
    expect(
      clashingStatements([
        "The box weighs at most 4 kg",
        "Filled, the box may weigh 12 lb or more",
        "It holds at most 4 L",
        "Cold for at least 10 h",
        "Runs at least 12 h cold",
      ]).map((c) => [c.a, c.b]),
    ).toEqual([[0, 1]]);
  });
  test("gates by school", () => {
    const items = [
      { id: "d", kind: "each" as const, label: "Own drawing", needs: 0 },
      { id: "t", kind: "tool" as const, label: "Drill", needs: 1 },
      { id: "c", kind: "coverage" as const, label: "Musts", needs: 80 },
    ];
    const states = gateStates(items, {
      members: [
        { id: "a", name: "Ada" },
        { id: "b", name: "Ben" },
      ],
      have: { d: ["a", "b"], t: [] },
      ticked: {},
      musts: 5,
      answered: 4,
    });
    expect(states.map((s) => s.met)).toEqual([true, false, true]);
    expect(mayBuild("block", false, states)).toMatchObject({ allowed: false });
    expect(mayBuild("block", true, states)).toEqual({ allowed: true, says: null });
    expect(mayBuild("warn", false, states)).toMatchObject({
      allowed: true,
      says: "Before material is cut: drill (nobody is signed; 1 must be).",
    });
    expect(mayBuild("none", false, states)).toEqual({ allowed: true, says: null });
  });
  test("equal shares by number and by role", () => {
    const [a, b] = [
      { id: "a", name: "Ada", role: "electrical" },
      { id: "b", name: "Ben", role: "mechanical" },
    ];
    const part = (id: string, role: string, ...owners: string[]) => ({ id, name: id, role, owners });
    expect(
      shareOfParts([part("1", "", "a"), part("2", "", "a"), part("3", "", "a"), part("4", "", "b")], [a, b], "number"),
    ).toMatchObject({ fair: false, says: ["Ada has 3 parts, Ben 1: move one."] });
    expect(shareOfParts([part("1", "", "a", "b"), part("2", "", "a"), part("3", "", "b")], [a, b], "number").fair).toBe(
      true,
    );
    expect(shareOfParts([part("Wiring", "electrical", "b")], [a, b], "role").says).toEqual([
      "Ada has no part.",
      "Wiring asks for electrical, but Ben is mechanical.",
    ]);
  });
});
