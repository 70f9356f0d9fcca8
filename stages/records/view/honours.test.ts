import { engraving, letters, toGive } from "./honours";

const award = { kind: "best" as const, title: "Best in Timed lift", teams: ["Alder", "Ebb & Co"], says: "12.4 L" };

test("a tie gives one to each; what one of them has already is not given twice", () => {
  expect(toGive([award], []).map((a) => a.team)).toEqual(["Alder", "Ebb & Co"]);
  expect(toGive([award], [{ title: award.title, team: "Alder" }])).toEqual([
    { kind: "best", title: "Best in Timed lift", says: "12.4 L", team: "Ebb & Co" },
  ]);
});

test("the plate has no gap where nothing was measured, and its letters are those that are cut", () => {
  expect(engraving("2027", "Champion", "Alder", "first overall")).toBe("2027 · Alder · Champion · first overall");
  const short = engraving("2027", "Winner of Tank race", "Alder", "");
  expect(short).toBe("2027 · Alder · Winner of Tank race");
  expect(letters("A b\tc é")).toBe(4);
});
