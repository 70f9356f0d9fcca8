"use client";

import { Check } from "lucide-react";
import { Checkbox as Primitive } from "radix-ui";
import { cx } from "./classes";

/** A box to tick. Its label stands beside it, in a `label` around both, or is said by `aria-label`. */
export function Checkbox({
  checked,
  onChange,
  disabled,
  className,
  onBlur,
  ...aria
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
  className?: string;
  onBlur?: () => void;
  id?: string;
  "aria-label"?: string;
  "aria-describedby"?: string;
  "aria-invalid"?: boolean;
}) {
  return (
    <Primitive.Root
      {...aria}
      checked={checked}
      onCheckedChange={(v) => onChange(v === true)}
      disabled={disabled}
      onBlur={onBlur}
      className={cx(
        "grid size-[15px] shrink-0 place-items-center rounded-[2px] border border-[#8a7f72] bg-sheet",
        "data-[state=checked]:border-iron data-[state=checked]:bg-iron disabled:opacity-55",
        className,
      )}
    >
      <Primitive.Indicator>
        <Check size={12} strokeWidth={3} className="text-white" />
      </Primitive.Indicator>
    </Primitive.Root>
  );
}
