// Names with their values, one a line.
import { readLines, writeLines } from "./lines";

test("a line without a name or a sign says nothing; a value may hold the sign", () => {
  expect(readLines("stroke = 0.25 m\nbore\n = 3\n rule = a=b \n")).toEqual([
    { name: "stroke", value: "0.25 m" },
    { name: "rule", value: "a=b" },
  ]);
});

test("what is written is read again", () => {
  const values = { stroke: "0.25 m", valve: "ball" };
  expect(writeLines(values)).toBe("stroke = 0.25 m\nvalve = ball");
  expect(Object.fromEntries(readLines(writeLines(values)).map((l) => [l.name, l.value]))).toEqual(values);
});
