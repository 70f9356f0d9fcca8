/** Which columns of a logger's table hold what. */
export interface ColumnChoice {
  readonly time: number;
  readonly value: number;
  /** Seconds in one unit of the time column; of clock times and dates nothing is asked. */
  readonly secondsPerUnit: number;
}

export interface ReadColumns {
  readonly t: number[];
  readonly v: number[];
  /** Lines that hold no sample, by their number in the file, with why; at most ten are named. */
  readonly left: readonly { line: number; why: string }[];
  readonly leftCount: number;
  /** What stops it: the times go back, or nothing could be read. */
  readonly problem: string | null;
}

/**
 * A number as loggers write it, with a point or a comma; NaN for anything else.
 * @example readNumber(" 1,25") // => 1.25
 * @example readNumber("n/a") // => NaN
 */
export function readNumber(text: string): number {
  const plain = text.trim();
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain.replace(",", ".")) : Number.NaN;
}

/**
 * A time in seconds as loggers write it: a number in a unit, a clock time (h:mm:ss or mm:ss.s), or a date with a time;
 * NaN for anything else.
 * @example readTime("1:02:03.5", 1) // => 3723.5
 * @example readTime("2.5", 60) // => 150
 * @example readTime("2027-03-02T10:00:01Z", 1) - readTime("2027-03-02 10:00:00Z", 1) // => 1
 */
export function readTime(text: string, secondsPerUnit: number): number {
  const plain = text.trim();
  const number = readNumber(plain);
  if (!Number.isNaN(number)) return number * secondsPerUnit;
  const clock = /^(?:(\d+):)?(\d{1,2}):(\d{1,2}(?:[.,]\d+)?)$/.exec(plain);
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + readNumber(clock[3]!);
  if (/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(plain)) {
    const zoned = /(Z|[+-]\d{2}:?\d{2})$/i.test(plain) ? plain : `${plain}Z`;
    return Date.parse(zoned.replace(" ", "T")) / 1000;
  }
  return Number.NaN;
}

/**
 * The samples of a logger's table: times from the first sample on, in seconds, and values. Lines without a sample are
 * left out and named; times that go back stop it, since such a table is no record of one channel.
 * @param firstLine the number in the file of the first row, from 1
 * @example
 * readColumns([["0", "5.1"], ["60", ""], ["120", "5.4"]], { time: 0, value: 1, secondsPerUnit: 1 }, 2).t
 * // => [0, 120]
 */
export function readColumns(
  rows: readonly (readonly string[])[],
  choice: ColumnChoice,
  firstLine: number,
): ReadColumns {
  const t: number[] = [];
  const v: number[] = [];
  const left: { line: number; why: string }[] = [];
  let leftCount = 0;
  let first: number | null = null;
  for (const [i, row] of rows.entries()) {
    if (row.every((cell) => !cell.trim())) continue;
    const at = readTime(row[choice.time] ?? "", choice.secondsPerUnit);
    const value = readNumber(row[choice.value] ?? "");
    if (!Number.isFinite(at) || !Number.isFinite(value)) {
      leftCount++;
      const bad = Number.isFinite(at) ? (row[choice.value] ?? "") : (row[choice.time] ?? "");
      if (left.length < 10)
        left.push({
          line: firstLine + i,
          why: `“${bad.slice(0, 40)}” is no ${Number.isFinite(at) ? "value" : "time"}`,
        });
      continue;
    }
    first ??= at;
    const since = at - first;
    if (t.length && since <= t.at(-1)!)
      return {
        t,
        v,
        left,
        leftCount,
        problem:
          `Line ${firstLine + i}: the time ${row[choice.time]!.trim()} does not come after the one before it. ` +
          "Choose the column of the times, or sort the file.",
      };
    t.push(since);
    v.push(value);
  }
  return { t, v, left, leftCount, problem: t.length < 2 ? "There are no two samples in these columns." : null };
}

/**
 * Which row names the columns, and which columns likely hold the time and the value.
 * @example
 * guessColumns([["Time (s)", "Temp (°C)"], ["0", "5.1"], ["60", "5.2"]])
 * // => { names: ["Time (s)", "Temp (°C)"], start: 1, time: 0, value: 1 }
 */
export function guessColumns(rows: readonly (readonly string[])[]): {
  names: string[];
  start: number;
  time: number;
  value: number;
} {
  const width = Math.max(0, ...rows.slice(0, 50).map((r) => r.length));
  const sample = (cell: string | undefined) => cell !== undefined && !Number.isNaN(readTime(cell, 1));
  // The first row of which two cells are readings; what stands above it is a head.
  const start = Math.max(
    0,
    rows.slice(0, 50).findIndex((r) => r.filter(sample).length >= 2),
  );
  const head = start > 0 ? rows[start - 1]! : [];
  const names = Array.from({ length: width }, (_, i) => head[i]?.trim() || `Column ${i + 1}`);
  const body = rows.slice(start, start + 50);
  const rises = (i: number) =>
    body.length > 1 && body.every((r, k) => k === 0 || readTime(r[i] ?? "", 1) > readTime(body[k - 1]![i] ?? "", 1));
  const named = names.findIndex((n) => /^(t|time|seconds?|sec|s|elapsed|date|clock)\b/i.test(n));
  const columns = names.map((_, i) => i);
  const rising = columns.find(rises);
  const time = named >= 0 && rises(named) ? named : (rising ?? Math.max(0, named));
  const value = columns.find((i) => i !== time && body.some((r) => !Number.isNaN(readNumber(r[i] ?? "")))) ?? time;
  return { names, start, time, value };
}
