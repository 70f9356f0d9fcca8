// No cell of an exported table is taken for a formula, whichever mark a spreadsheet cuts cells at.
import fc from "fast-check";
import Papa from "papaparse";
import { toCsv } from "./csv";

const cells = (text: string, delimiter: string) =>
  Papa.parse<string[]>(text.replace(/^\ufeff/, ""), { delimiter }).data.flat();
/** Cells as a reader sees them that knows no quotes: cut at every mark and line end. */
const plainly = (text: string, delimiter: string) =>
  text.replace(/^\ufeff/, "").split(new RegExp(`[\r\n${delimiter}]`));
const starts = (cell: string) =>
  /^[\s"]*[=+\-@]/.test(cell) && !/^[\s"]*[+-]?\d+([.,]\d+)?(e[+-]?\d+)?"?\s*([,;\t].*)?$/is.test(cell);

test.each(["=1+1", "a;=1+1", "\r=1+1", "a\n=1+1", "x,@SUM(A1)", "\t-2+3", ' "=1', "+cmd", "＝1", "a;b;-c"])(
  "%j starts none",
  (text) => {
    for (const d of [",", ";", "\t"]) {
      expect(cells(toCsv([[text, "x"]]), d).filter(starts)).toEqual([]);
      expect(plainly(toCsv([[text, "x"]]), d).filter(starts)).toEqual([]);
    }
  },
);

test("none of any table", () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.array(fc.string({ unit: fc.constantFrom(..."=+-@;,\"'\r\n\t ab1") }), { minLength: 1, maxLength: 4 }),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
      (rows) => {
        for (const d of [",", ";", "\t"]) expect(cells(toCsv(rows), d).filter(starts)).toEqual([]);
      },
    ),
    // A number with line ends behind it, as a reader cuts it who takes the marks for quotes, is a number still.
    { numRuns: 2000, examples: [[[["", "\n;"], ["+1"], [""]]]] },
  ));

test.each([
  [-3.5, "-3.5"],
  ["−3.5", "-3.5"],
  ["-3,5", '"-3,5"'],
  ["1e-3", "1e-3"],
  ["Ada; Ben", "Ada; Ben"],
  ["14 - 3", "14 - 3"],
  [null, ""],
])("%j stays %s", (value, text) => expect(toCsv([[value, "x"]])).toBe(`\ufeff${text},x\r\n`));
