// Fields of forms: what each takes, how it is refused in words, and quantities kept as they were typed.
import type { AnySchema } from "yup";
import { unitsOf } from "@/core/quantity/systems";
import { asEntered, entered, readLengths, readSides, siOrNull, stillMeans } from "./entered";
import * as c from "./fields";
import { quantity, sides } from "./quantities";

const id = "0190a0b0-0000-7000-8000-000000000000";
/** The words of a refusal; empty where it is taken. */
const says = async (schema: AnySchema, value: unknown): Promise<string> => {
  try {
    await schema.validate(value);
    return "";
  } catch (e) {
    return (e as Error).message;
  }
};

test.each([
  ["an id", c.id(), id, "abc", "This record cannot be found."],
  ["an id that may be left out", c.optionalId(), "", "abc", "This record cannot be found."],
  ["a text", c.text(5), " four ", "  ", "This is needed."],
  ["a text of some length", c.text(5), "fives", "sixsix", "At most 5 characters."],
  ["a note", c.optionalText(5), "", "sixsix", "At most 5 characters."],
  ["a picture", c.picture(), "AQID", "", "Choose a photo."],
  ["a date", c.date(), "2027-02-28", "2027-02-29", "Write a date as YYYY-MM-DD."],
  ["a date that may be left out", c.optionalDate(), "", "28.2.2027", "Write a date as YYYY-MM-DD."],
  ["a version", c.version(), 3, "three", "Write a number."],
  ["a whole number", c.whole(1, 9), "9", "9.5", "Write a whole number."],
  ["a whole number in its range", c.whole(1, 9), 1, 10, "At most 9."],
  ["a decimal", c.decimal(), "-7.50", "7,5", "Write a number, for example 7.5."],
  ["a decimal that may be left out", c.optionalDecimal(), " ", "1e3", "Write a number, for example 7.5."],
  ["a list of records", c.ids(2), [id], [id, id, id], "At most 2."],
  ["a mass", quantity("kg"), "11 lb", "11 s", "“s” is a time; this field takes a mass, for example in kg."],
  ["a size", sides(), "6 x 4 x 3 cm", "6 x 4 cm", "Write three sides, for example 600 × 400 × 400 mm."],
] as const)("%s", async (_, schema, fine, wrong, words) => {
  expect([await says(schema, fine), await says(schema, wrong)]).toEqual(["", words]);
});

test("what is optional and empty is nothing, what is typed is without the spaces around it", () => {
  expect(c.optionalId().cast("")).toBeUndefined();
  expect(c.optionalDate().cast(" ")).toBeUndefined();
  expect(c.optionalDecimal().cast(" ")).toBeUndefined();
  expect(c.text().cast("  Alder ")).toBe("Alder");
  expect(c.optionalText().cast(undefined)).toBe("");
  expect(c.ids().cast(undefined)).toEqual([]);
});

test("readings are few texts by symbol, each short", async () => {
  const many = Object.fromEntries(Array.from({ length: 41 }, (_, i) => [`x${i}`, "1"]));
  const wrong = [[], "8.6", { m: 8.6 }, { m: "8".repeat(61) }, many];
  for (const value of wrong) expect(await says(c.typedReadings(), value)).not.toBe("");
  expect(await says(c.typedReadings(), { m: "8".repeat(60) })).toBe("");
  expect(c.typedReadings().cast(undefined)).toEqual({});
});

test("one of a list, and what is taken besides", async () => {
  const list = { values: ["more", "less"], labels: {}, options: [] } as never;
  expect(await says(c.oneOf(list), "more")).toBe("");
  expect(await says(c.oneOf(list), "")).toBe("Choose one of the list.");
  expect(await says(c.oneOf(list, ""), "")).toBe("");
});

describe("quantities as they were typed", () => {
  test("the last unit is for all lengths that have none of their own", () => {
    expect(readLengths("600 × 400 mm", "m")).toEqual(["0.6", "0.4"]);
    expect(readLengths("2 m x 400 mm", "mm")).toEqual(["2", "0.4"]);
    expect(readLengths("24 * 12", "in")).toEqual(["0.6096", "0.3048"]);
    expect(readLengths("wide", "mm")).toBeNull();
    expect([readSides("6 x 4 cm", "mm"), readSides("1 x 2 x 3", "cm")]).toEqual([null, ["0.01", "0.02", "0.03"]]);
  });

  test("an exact value of what was checked; nothing of what was left out; what was not checked is told", () => {
    expect([siOrNull("4200 g", "kg"), siOrNull("", "kg"), siOrNull(undefined, "kg")]).toEqual(["4.2", null, null]);
    expect(() => siOrNull("4 s", "kg")).toThrow("this field takes a mass");
  });

  test("a form shows what was typed where it still means the exact value, else the value in the project's unit", () => {
    expect(stillMeans("4200 g", "kg", "4.2")).toBe("4200 g");
    expect([stillMeans("4200 g", "kg", "4.3"), stillMeans("", "kg", "4.2"), stillMeans("4 kg", "kg", null)]).toEqual([
      null,
      null,
      null,
    ]);
    const units = unitsOf("metric");
    const made = { mass: "4.2", cost: "12.5", sides: ["0.6", "0.4", "0.4"] as const };
    const typed = entered({ mass: "4200 g", cost: "", sides: "600 × 400 × 400 mm" });
    expect(typed).toEqual({ mass: "4200 g", sides: "600 × 400 × 400 mm" });
    expect(asEntered({ ...made, entered: typed }, units)).toEqual({
      mass: "4200 g",
      cost: "12.5",
      sides: "600 × 400 × 400 mm",
    });
    // Corrected elsewhere since: the words give way to the value.
    expect(asEntered({ ...made, mass: "5", sides: null, entered: typed }, units)).toMatchObject({
      mass: `5 ${units.mass}`,
      sides: "",
    });
    expect(asEntered({ mass: null, cost: null, sides: null, entered: {} }, units)).toEqual({
      mass: "",
      cost: "",
      sides: "",
    });
  });
});
