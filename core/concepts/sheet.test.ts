import { readChoice, readSheet } from "./sheet";

const asked = {
  concepts: [
    { id: "a", title: "Float" },
    { id: "b", title: "Siphon" },
  ],
  criteria: [
    { key: "cost", name: "Cost" },
    { key: "mass", name: "Mass" },
  ],
  datum: null,
  top: 5,
  signs: false,
};

test("a sheet's numbers are read, a comma as a point, empty cells left out", () => {
  expect(readSheet(asked, { a: { cost: "3,5", mass: "" }, b: { cost: " 0 ", mass: "5" } })).toEqual({
    marks: { a: { cost: 3.5 }, b: { cost: 0, mass: 5 } },
  });
});

test.each(["six", "5.1", "-1", "1e9"])("%s is refused by the cell's name", (text) => {
  expect(readSheet(asked, { a: { cost: "1" }, b: { mass: text } })).toEqual({
    wrong: "Siphon, Mass: a score from 0 to 5.",
  });
});

test("against a datum marks stay signs, and the datum gets none", () => {
  const signs = { ...asked, datum: "a", signs: true };
  expect(readSheet(signs, { a: { cost: "+" }, b: { cost: "−", mass: "0" } })).toEqual({
    marks: { b: { cost: "−", mass: "0" } },
  });
});

test("a choice carries the reasons of what is chosen alone", () => {
  expect(readChoice(["b"], { a: "cheap", b: "simple" })).toEqual({
    marks: { chosen: ["b"], reasons: { b: "simple" } },
  });
});
