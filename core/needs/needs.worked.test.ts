import { staleReasons } from "@/core/evidence/evidence";
import { type Limit, marginOf, statusOf } from "./requirement";

describe("requirements", () => {
  const limit: Limit = { comparator: "≥", target: "7.5", second: null, sides: null, unit: "1" };
  test.each([
    ["7.8", 0.2, "met"],
    ["7.7", 0.2, "met"],
    ["7.69", 0.2, "marginal"],
    ["7.3", 0.2, "marginal"],
    ["7.29", 0.2, "not met"],
    ["7.5", 0, "met"],
  ])("≥ 7.5 with %s ± %s is %s", (value, U, verdict) =>
    expect(statusOf(limit, { kind: "value", value, U }, []).value).toBe(verdict),
  );
  test("± and between", () => {
    expect(
      statusOf({ ...limit, comparator: "±", target: "1.6", second: "0.01" }, { kind: "value", value: "1.61", U: 0 }, [])
        .value,
    ).toBe("met");
    expect(
      statusOf(
        { ...limit, comparator: "between", target: "2", second: "8" },
        { kind: "value", value: "8.1", U: 0.2 },
        [],
      ).value,
    ).toBe("marginal");
  });
  test("a changed version makes the verdict stale and names what it was", () => {
    const reasons = staleReasons({ requirement: 1, build: 3, protocol: 2 }, { requirement: 2, build: 3, protocol: 2 });
    const r = statusOf(limit, { kind: "value", value: "8", U: 0 }, reasons);
    expect(r.value).toBe("stale");
    expect(r.working.warnings[0]).toContain("Before that it was: met");
  });
  test("the margin is negative outside", () =>
    expect(marginOf({ ...limit, comparator: "≤", target: "5" }, "5.31")!.toString()).toBe("-0.31"));
});
