import { StripChoice } from "./strip-choice";

/** A mark from 0 to the best, side by side. */
export const MarkChoice = ({
  most,
  ...of
}: Pick<Parameters<typeof StripChoice>[0], "label" | "value" | "disabled" | "onPick" | "onNext"> & {
  most: number;
}) => (
  <StripChoice
    {...of}
    options={Array.from({ length: most + 1 }, (_, mark) => ({ value: String(mark), label: String(mark) }))}
    keyOf={(key) => (/^\d$/.test(key) && Number(key) <= most ? key : undefined)}
    className="min-h-12 min-w-12 text-[17px]"
  />
);
