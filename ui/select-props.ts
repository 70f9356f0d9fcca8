import type { Option } from "./option";

export interface SelectProps {
  value: string;
  onChange: (value: string) => void;
  options: readonly Option[];
  /** The words of the choice of nothing; without it something is always chosen. */
  empty?: string;
  disabled?: boolean;
  className?: string;
  onBlur?: () => void;
  id?: string;
  "aria-label"?: string;
  "aria-labelledby"?: string;
  "aria-describedby"?: string;
  "aria-invalid"?: boolean;
}

/** How a select looks while it is closed. */
export const closed = "input flex items-center justify-between gap-2 text-left disabled:opacity-55";

/** The choices with the choice of nothing, where there is one. */
export const choicesOf = (options: readonly Option[], empty: string | undefined): readonly Option[] =>
  empty === undefined ? options : [{ value: "", label: empty }, ...options];
