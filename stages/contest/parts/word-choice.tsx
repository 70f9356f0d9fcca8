import { seenOutcome } from "@/core/vocabulary/needs";
import { StripChoice } from "./strip-choice";

const short = { met: "met", "not met": "not met", "not applicable": "does not apply" } as const;
const keys: Record<string, (typeof seenOutcome.values)[number]> = {
  y: "met",
  m: "met",
  n: "not met",
  x: "not applicable",
};
const options = seenOutcome.values.map((value) => ({ value, label: short[value] }));

/** What was found by looking: three answers side by side, by a press or by one key. */
export const WordChoice = (
  of: Pick<Parameters<typeof StripChoice>[0], "label" | "value" | "disabled" | "onPick" | "onNext">,
) => (
  <StripChoice
    {...of}
    options={options}
    keyOf={(key) => keys[key.toLowerCase()]}
    className="min-h-11 px-3 text-[14px]"
  />
);
