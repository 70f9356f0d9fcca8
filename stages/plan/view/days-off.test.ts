// Days off from a calendar file: what repeats is unfolded, and no rule keeps the server looking for ever.
import fc from "fast-check";
import { readIcs } from "./days-off";
import { unreadRepeat } from "./repeats";

const file = (...entries: string[]) =>
  ["BEGIN:VCALENDAR", ...entries.flatMap((e) => ["BEGIN:VEVENT", ...e.split(" "), "END:VEVENT"]), "END:VCALENDAR"].join(
    "\r\n",
  );
const read = (...entries: string[]) => readIcs(file(...entries), "2027-01-18", "2027-03-26");
const days = (rule: string, start = "20270118") =>
  read(`SUMMARY:Off DTSTART;VALUE=DATE:${start} RRULE:${rule}`).days.map((d) => d.date);
const refused = (rule: string) => read(`SUMMARY:Off DTSTART;VALUE=DATE:20270118 RRULE:${rule}`).problems[0] ?? null;

test("whole days are read, of a length, inside the project alone", () => {
  const { days: found, outside } = read(
    "SUMMARY:Break DTSTART;VALUE=DATE:20270215 DTEND;VALUE=DATE:20270217",
    "SUMMARY:Summer DTSTART;VALUE=DATE:20270701",
  );
  expect([found, outside]).toEqual([
    [
      { date: "2027-02-15", reason: "Break" },
      { date: "2027-02-16", reason: "Break" },
    ],
    1,
  ]);
});

test("what schools repeat is unfolded", () => {
  expect(days("FREQ=WEEKLY;COUNT=3")).toEqual(["2027-01-18", "2027-01-25", "2027-02-01"]);
  expect(days("FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH;UNTIL=20270205")).toEqual([
    "2027-01-18",
    "2027-01-21",
    "2027-02-01",
    "2027-02-04",
  ]);
  expect(days("FREQ=MONTHLY;BYDAY=-1FR", "20270129")).toEqual(["2027-01-29", "2027-02-26", "2027-03-26"]);
  expect(days("FREQ=MONTHLY;BYMONTHDAY=20", "20270120")).toEqual(["2027-01-20", "2027-02-20", "2027-03-20"]);
  expect(days("FREQ=YEARLY", "20200301")).toEqual(["2027-03-01"]);
});

test.each([
  ["FREQ=DAILY;BYDAY=53MO", "BYDAY=53MO is not read"],
  ["FREQ=WEEKLY;BYDAY=2MO", "BYDAY=2MO is not read"],
  ["FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31", "BYMONTHDAY=31 is not read"],
  ["FREQ=YEARLY;BYWEEKNO=53", "BYWEEKNO=53 is not read"],
  ["FREQ=YEARLY;BYYEARDAY=366", "BYYEARDAY=366 is not read"],
  ["FREQ=MONTHLY;BYDAY=MO;BYSETPOS=9", "BYSETPOS=9 is not read"],
  ["FREQ=DAILY;INTERVAL=7;BYDAY=FR", "BYDAY=FR is not read"],
  ["FREQ=MONTHLY;INTERVAL=12;BYMONTH=2", "BYMONTH=2 is not read"],
  ["FREQ=SECONDLY", "it repeats more often than once a day"],
  ["FREQ=DAILY;INTERVAL=100000", "its interval is not a number from 1 to 400"],
])("%s is named, not looked for", (rule, why) => {
  const said = why.includes("=") ? `its rule ${why}` : why;
  expect(refused(rule)).toBe(`entry 1 “Off” repeats, and ${said}. Write its days as entries of their own.`);
});

test("a rule that is read comes to an end, whatever it says", () => {
  const pick = <T>(...xs: T[]) => fc.constantFrom(...xs);
  const rule = fc.record({
    start: pick("20270118", "20240229", "20270131", "20261230", "20270205"),
    freq: pick("DAILY", "WEEKLY", "MONTHLY", "YEARLY"),
    interval: fc.integer({ min: 1, max: 400 }),
    byday: fc.option(fc.tuple(pick("", "1", "-1", "4", "5", "53"), pick("MO", "FR", "SU")), { nil: null }),
    bymonth: fc.option(fc.integer({ min: 1, max: 13 }), { nil: null }),
    bymonthday: fc.option(fc.integer({ min: -2, max: 32 }), { nil: null }),
  });
  fc.assert(
    fc.property(rule, (r) => {
      const parts = {
        ...(r.byday ? { BYDAY: [r.byday.join("")] } : {}),
        ...(r.bymonth ? { BYMONTH: [r.bymonth] } : {}),
        ...(r.bymonthday ? { BYMONTHDAY: [r.bymonthday] } : {}),
      };
      if (unreadRepeat({ freq: r.freq, interval: r.interval, parts })) return;
      const text = Object.entries(parts).map(([k, v]) => `;${k}=${v}`);
      expect(Array.isArray(days(`FREQ=${r.freq};INTERVAL=${r.interval}${text.join("")}`, r.start))).toBe(true);
    }),
    { numRuns: 500 },
  );
});

test("a title that is no text is none: whatever the file calls it, it is not turned into one", () =>
  expect(read("SUMMARY;VALUE=RECUR:FREQ=DAILY DTSTART;VALUE=DATE:20270215").days).toEqual([
    { date: "2027-02-15", reason: "" },
  ]));
