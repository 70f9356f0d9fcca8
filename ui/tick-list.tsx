import { Checkbox } from "./checkbox";

/** Sentences that are ticked one by one; each is said to be so. */
export const TickList = ({
  items,
  ticked,
  disabled,
  onChange,
}: {
  items: readonly string[];
  ticked: readonly string[];
  disabled: boolean;
  onChange: (ticked: readonly string[]) => void;
}) =>
  items.map((item) => (
    <label key={item} className="flex min-h-9 items-start gap-2.5 pt-1.5 sm:min-h-7">
      <Checkbox
        checked={ticked.includes(item)}
        disabled={disabled}
        className="mt-[3px]"
        onChange={(on) => onChange(on ? [...ticked, item] : ticked.filter((x) => x !== item))}
      />
      <span>{item}</span>
    </label>
  ));
