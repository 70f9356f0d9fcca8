import fc from "fast-check";
import { shareOfParts } from "./parts";

test("shares of parts add up to the parts that somebody has", () => {
  const members = ["a", "b", "c"].map((id) => ({ id, name: id, role: "" }));
  fc.assert(
    fc.property(fc.array(fc.uniqueArray(fc.constantFrom("a", "b", "c", "gone"))), (owners) => {
      const parts = owners.map((o, i) => ({ id: `${i}`, name: `P${i}`, role: "", owners: o }));
      const r = shareOfParts(parts, members, "number");
      expect(r.shares.reduce((s, x) => s + x.parts, 0)).toBeCloseTo(parts.length - r.free.length, 9);
    }),
  );
});
