import fc from "fast-check";
import { piecesOf } from "./references";

test("whatever is written, the pieces together are the text", () => {
  const word = fc.constantFrom("G3", "G12", "R-05", "RG3", "G3a", "R-5", "-G3", " ", ".", "\n", "é");
  fc.assert(
    fc.property(fc.array(word), (words) => {
      const text = words.join("");
      expect(
        piecesOf(text)
          .map((p) => p.text)
          .join(""),
      ).toBe(text);
    }),
  );
});

test("a generation and a requirement are known as words of their own only", () => {
  const named = (text: string) =>
    piecesOf(text).flatMap((p) => ("build" in p ? [String(p.build)] : "requirement" in p ? [p.requirement] : []));
  expect(named("G3, (G4) and R-05: G10.")).toEqual(["3", "4", "R-05", "10"]);
  expect(named("PG3 G3b R-05-b XR-05 G R- G1000 R-5 G-3")).toEqual([]);
  expect(piecesOf("")).toEqual([{ text: "" }]);
});
