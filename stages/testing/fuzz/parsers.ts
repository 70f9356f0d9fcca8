import { zipSync } from "fflate";
import Papa from "papaparse";
import { rulesWithNumbers } from "@/core/brief/brief";
import { checkFormula } from "@/core/formula/check";
import { proposeRequirement } from "@/core/needs/propose";
import { groupAlike } from "@/core/needs/similarity";
import { parseQuantity } from "@/core/quantity/quantity";
import { parseUnit } from "@/core/quantity/units";
import { readRoster } from "@/core/roster/roster";
import { parseReading } from "@/core/run/reading";
import { guessColumns, readColumns } from "@/core/series/columns";
import { BundleError, openBundle } from "@/platform/bundle/open";
import { Refused } from "@/platform/command/failure";
import { toCsv } from "@/platform/csv/csv";
import { readPicture } from "@/platform/files/files";
import { readSides } from "@/platform/schema/entered";
import { unpacked, wrongBlock } from "@/stages/bench/view/samples";
import { requirement } from "@/stages/needs/schema";
import { readDaysOff, readIcs } from "@/stages/plan/view/days-off";
import { tables } from "@/stages/tables";

/** Something that reads what people or other programs wrote. It answers or refuses in words; it never throws. */
export interface Parser {
  readonly name: string;
  /** Texts that it reads, to make wrong ones of. */
  readonly samples: readonly string[];
  readonly read: (text: string) => unknown;
}
/** The same for bytes. */
export interface ByteParser {
  readonly name: string;
  readonly sample: () => Promise<Uint8Array>;
  readonly read: (bytes: Uint8Array) => unknown;
}

const calendar = `BEGIN:VCALENDAR
VERSION:2.0
BEGIN:VEVENT
DTSTART;VALUE=DATE:20270215
DTEND;VALUE=DATE:20270220
SUMMARY:Half-term
RRULE:FREQ=YEARLY;BYMONTH=2;BYDAY=3MO;COUNT=4
EXDATE;VALUE=DATE:20280221
END:VEVENT
BEGIN:VEVENT
DTSTART;VALUE=DATE:20270301
RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE;UNTIL=20270601
SUMMARY:Staff\\, all day
END:VEVENT
END:VCALENDAR
`.replaceAll("\n", "\r\n");

export const brief = `## Need

Water for the upper terrace, carried by hand today.

- At most 9 lb and 18 × 12 × 14 in
- Lifts at least 7.5 L/min over 1.60 m
- 36 ± 0.5 in between the feet; costs no more than $35

> > quoted **twice**

| part | mass |
|---|---|
| frame | 1.2 kg |
`;

const known = new Map([
  ["m", { M: 1 }],
  ["V", { L: 3 }],
  ["t", { T: 1 }],
]);

export const parsers: readonly Parser[] = [
  {
    name: "quantity",
    samples: ["4.2 L", "3 ft 6 in", "1:20.4", "5'-6\"", "12 3/8 in", "$35", "9.81 m/s^2", "1 500 cm", "-0 ft 6 in"],
    read: (text) => ["L", "m", "s", "kg", "1", "rad/s"].map((unit) => parseQuantity(text, unit)),
  },
  { name: "unit", samples: ["kg*m/s^2", "L/min", "ft-lb", "oz-in", "gal/min", "°C", "1/s"], read: parseUnit },
  {
    name: "formula",
    samples: ["m / (V * t)", "sqrt(m^2 + m^2) / t^(1/2)", "max(m, 2 * m) ^ -1", "-3^2 * abs(V)", "A = V"],
    read: (text) => checkFormula(text, known, { L: 3, T: -1 }),
  },
  {
    name: "reading by its kind",
    samples: ["hairline", "cr", "yes", "3", "2.5"],
    read: (text) => [
      parseReading({ unit: "1", kind: "level", levels: ["intact", "hairline", "cracked"] }, text),
      parseReading({ unit: "1", kind: "yes-no" }, text),
      parseReading({ unit: "1", kind: "count" }, text),
    ],
  },
  {
    name: "logger's table",
    samples: ["Time (s),T\n0,5.1\n1,5.2", "Logger 7\nclock;V\n10:00:01;1,5\n10:00:02;1,6", "2027-03-02 10:00:00\t3"],
    read(text) {
      const rows = Papa.parse<string[]>(text, { skipEmptyLines: "greedy" }).data;
      const { start, time, value } = guessColumns(rows);
      const { t, v, problem } = readColumns(rows.slice(start), { time, value, secondsPerUnit: 1 }, start + 1);
      const wrong = problem ? null : wrongBlock({ t: Float64Array.from(t), v: Float64Array.from(v) }, -1);
      if (wrong && !/instrument/.test(wrong)) throw new Error(wrong);
      return unpacked(text) ?? [t, v];
    },
  },
  {
    name: "three sides",
    samples: ["18 × 12 × 14 in", "60 cm x 400 mm x 0.4 m", "1 * 2 * 3"],
    read: (t) => readSides(t, "mm"),
  },
  {
    name: "roster",
    samples: [
      'Name,Section,Email\n"Quill, Ada",3,ada@example.org\n',
      "First name;Last name;Class\nAda;Quill;3",
      "Name\tSection\nÖzil\t5",
    ],
    read: (text) => readRoster(Papa.parse<string[]>(text, { skipEmptyLines: "greedy" }).data, ["3", "5"]),
  },
  { name: "rules of a brief", samples: [brief, `- ${"at most 5 kg, ".repeat(40)}`], read: rulesWithNumbers },
  {
    name: "requirement from a statement",
    samples: [
      "It must weigh at most 9 lb.",
      "between 3 and 5 minutes",
      "No louder than 70 dB at 3 ft",
      "at least twice as fast",
    ],
    read: proposeRequirement,
  },
  {
    name: "statements alike",
    samples: [
      "light enough to carry\nlight to carry up the steps\nmust weigh under 5 kg",
      "quiet\nnot loud\nsilent pump",
    ],
    read: (text) => groupAlike(text.split("\n").slice(0, 200)),
  },
  {
    name: "requirement's form",
    samples: [
      '{"statement":"Light","kind":"constraint","comparator":"≤","target":"5 kg","unit":"kg","sides":"1 × 2 × 3"}',
    ],
    read: (text) => {
      let value: unknown = text;
      try {
        value = JSON.parse(text);
      } catch {
        value = { statement: text, target: text, unit: text, sides: text, comparator: "fits" };
      }
      return requirement.isValidSync(value);
    },
  },
  { name: "calendar", samples: [calendar], read: (text) => readIcs(text, "2027-01-18", "2027-06-30") },
  { name: "days off", samples: ["2027-02-15 Staff day\n2027-02-22 to 2027-02-26 Half-term"], read: readDaysOff },
  {
    name: "CSV out and in",
    samples: ["a;=1+1\n@x", '"quoted"\r\n-2+3\t|cmd', "+1\n\r=2"],
    read(text) {
      const cells = text.split("\n").map((line) => line.split("\t"));
      const back = Papa.parse<string[]>(toCsv(cells), { delimiter: ",", newline: "\r\n" }).data.flat();
      const starts = back.find((cell) => /^\s*[=+@-]/.test(cell) && !/^[-+]?\d+([.,]\d+)?(e[-+]?\d+)?$/i.test(cell));
      if (starts !== undefined) throw new Error(`a cell starts a formula: ${JSON.stringify(starts)}`);
    },
  },
];

/** Reads, and lets pass what is refused in words. */
const unless =
  <T>(refusal: new (...args: never[]) => Error, read: (x: T) => unknown) =>
  async (x: T) => {
    try {
      await read(x);
    } catch (error) {
      if (!(error instanceof refusal)) throw error;
    }
  };

export const byteParsers: readonly ByteParser[] = [
  {
    name: "bundle",
    sample: async () => {
      const json = (v: unknown) => new TextEncoder().encode(JSON.stringify(v));
      const counts = Object.fromEntries(tables.map((t) => [t.name, 0]));
      return zipSync({
        "manifest.json": json({ format: "ironstone", kind: "project", schemaVersion: 4, counts }),
        ...Object.fromEntries(tables.map((t) => [`tables/${t.name}.json`, json([])])),
      });
    },
    read: unless(BundleError, (bytes: Uint8Array) => openBundle(tables, bytes, "project")),
  },
  {
    name: "picture",
    sample: async () => {
      const { default: sharp } = await import("sharp");
      return sharp({ create: { width: 24, height: 16, channels: 3, background: "#864" } })
        .png()
        .toBuffer();
    },
    read: unless(Refused, (bytes: Uint8Array) => readPicture(Buffer.from(bytes))),
  },
];
