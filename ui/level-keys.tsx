import { cx } from "./classes";

/** The names that a reading may be, each a press that fills its field; typing the name, or its beginning, does too. */
export function LevelKeys({
  levels,
  chosen,
  onPick,
  disabled,
  large,
}: {
  levels: readonly string[];
  /** The one that stands in the field. */
  chosen: string;
  onPick: (level: string) => void;
  disabled?: boolean;
  large?: boolean;
}) {
  return (
    <span className="mt-1 flex flex-wrap gap-1">
      {levels.map((l) => (
        <button
          key={l}
          type="button"
          // The field takes names from the keyboard: Tab goes on to the next field.
          tabIndex={-1}
          disabled={disabled}
          aria-pressed={l.toLowerCase() === chosen.trim().toLowerCase()}
          className={cx(
            "rounded-sm border px-1.5 text-sm whitespace-nowrap max-sm:min-h-11 max-sm:grow max-sm:px-3",
            large ? "min-h-11 px-3 text-[15px]" : "min-h-6",
            l.toLowerCase() === chosen.trim().toLowerCase()
              ? "border-iron bg-iron-wash font-[600]"
              : "border-line hover:border-ink",
          )}
          onClick={() => onPick(l)}
        >
          {l}
        </button>
      ))}
    </span>
  );
}
