import type { MarkScale } from "@/core/grades/mark";
import { checkScale } from "@/core/grades/mark";
import { readScale, typedScale } from "./typed-scale";

test.each<MarkScale>([
  { kind: "percent" },
  { kind: "points", of: "17.5" },
  {
    kind: "letters",
    table: [
      { letter: "A-", percent: "91.5" },
      { letter: "Pass", percent: "60" },
    ],
  },
])("%o comes out of the form as it went in", (scale) => {
  expect(readScale(typedScale(scale))).toEqual(scale);
});

test("letters are read with a colon, an equals sign or a comma too; what is no letter is named", () => {
  const read = (letters: string) => readScale({ scale: "letters", of: "", letters });
  expect(read("A: 95 %\n\n b+ =87,5\n")).toEqual({
    kind: "letters",
    table: [
      { letter: "A", percent: "95" },
      { letter: "b+", percent: "87.5" },
    ],
  });
  expect(checkScale(read("A 95\nB good"))).toEqual(["B good: write its percent, from 0 to 120."]);
  expect(readScale({ scale: "points", of: " 12,5 ", letters: "" })).toEqual({ kind: "points", of: "12.5" });
});

test("a new table of letters can be used as it is", () => {
  expect(checkScale(readScale({ ...typedScale(), scale: "letters" }))).toEqual([]);
});
