/** A rule by which an entry of a calendar repeats, as the reader of the file gives it. */
export interface Repeat {
  readonly freq: string;
  readonly interval: number;
  readonly parts: Readonly<Record<string, readonly (string | number)[]>>;
}

const between = (values: readonly (string | number)[], low: number, high: number) =>
  values.every((v) => Number.isInteger(Number(v)) && Number(v) >= low && Number(v) <= high);

/** Weekdays, with "the first", "the last" and so on where a month is what repeats. */
const weekdays = (values: readonly (string | number)[], counted: boolean) =>
  values.every((v) => (counted ? /^(-?[1-4]|-1)?(MO|TU|WE|TH|FR|SA|SU)$/ : /^(MO|TU|WE|TH|FR|SA|SU)$/).test(String(v)));

/**
 * Why a repetition is not read; null when it is. Read are those that school calendars are made of and that surely come
 * to an end: a rule that never meets a day would be looked for until the server stops.
 */
export function unreadRepeat({ freq, interval, parts }: Repeat): string | null {
  if (!["DAILY", "WEEKLY", "MONTHLY", "YEARLY"].includes(freq)) return "it repeats more often than once a day";
  if (!(interval >= 1 && interval <= 400)) return "its interval is not a number from 1 to 400";
  // Every fifth day that is a Friday, every twelfth month that is a February: such a rule may never meet a day.
  const every = interval === 1;
  const allowed: Record<string, (values: readonly (string | number)[]) => boolean> = {
    BYDAY: (v) => weekdays(v, freq === "MONTHLY") && freq !== "YEARLY" && (every || freq === "WEEKLY"),
    BYMONTH: (v) => between(v, 1, 12) && every,
    // The 29th to the 31st are not in every month: a rule with months of its own might wait for one for ever.
    BYMONTHDAY: (v) =>
      between(v, 1, parts.BYMONTH || freq === "YEARLY" ? 28 : 31) && !parts.BYDAY && freq !== "WEEKLY" && every,
    WKST: () => true,
  };
  const odd = Object.entries(parts).find(([name, values]) => !allowed[name]?.([values].flat()));
  return odd ? `its rule ${odd[0]}=${[odd[1]].flat().join(",")} is not read` : null;
}
