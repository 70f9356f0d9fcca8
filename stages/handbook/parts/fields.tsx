"use client";

import { useId } from "react";
import type { Field } from "@/core/handbook/outcome";
import { cx } from "@/ui/classes";
import { useReady } from "@/ui/ready";
import { Formula } from "./formula";

interface Setting {
  readonly typed: Readonly<Record<string, string>>;
  readonly wrong: readonly { readonly symbol: string; readonly message: string }[];
  readonly onType: (symbol: string, text: string) => void;
}

function Box({ field, of, label, named }: { field: Field; of: Setting; label: string; named?: string }) {
  const id = useId();
  const ready = useReady();
  const wrong = of.wrong.find((w) => w.symbol === field.symbol)?.message;
  const shared = {
    "aria-label": label,
    "aria-invalid": wrong ? true : undefined,
    "aria-describedby": wrong ? id : undefined,
    disabled: !ready,
    value: of.typed[field.symbol] ?? "",
    onChange: (e: { target: { value: string } }) => of.onType(field.symbol, e.target.value),
    className: "input min-w-0 w-full",
    autoComplete: "off",
  } as const;
  return (
    <div className="min-w-0">
      <div className="flex items-baseline gap-1.5">
        {named && <span className="text-sm text-soft">{named}</span>}
        {field.lines ? (
          <textarea rows={Math.min(14, shared.value.split("\n").length + 1)} maxLength={6000} {...shared} />
        ) : (
          <input maxLength={600} {...shared} />
        )}
        {field.unit !== "1" && <span className="unit shrink-0">{field.unit}</span>}
      </div>
      {wrong && (
        <p id={id} role="alert" className="text-sm text-iron">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** The fields of a calculator, of one setting or of two beside each other. */
export function Fields({ fields, second, ...first }: { fields: readonly Field[]; second: Setting | null } & Setting) {
  const elsewhere = first.wrong.filter((w) => !fields.some((f) => f.symbol === w.symbol));
  return (
    <div className="grid gap-2.5">
      {fields.map((f) => (
        <div key={f.symbol} className="grid gap-0.5">
          <span className="text-[12.5px] font-[600]">
            <span className="inline-block first-letter:uppercase">{f.name}</span>{" "}
            {!f.lines && (
              <span className="font-normal text-soft">
                <Formula of={f.symbol} />
              </span>
            )}
          </span>
          <div className={cx("grid gap-2", second && "grid-cols-2")}>
            <Box field={f} of={first} label={second ? `${f.name}, first` : f.name} named={second ? "1" : undefined} />
            {second && <Box field={f} of={second} label={`${f.name}, second`} named="2" />}
          </div>
        </div>
      ))}
      {elsewhere.map((w) => (
        <p key={w.symbol} role="alert" className="text-sm text-iron">
          {w.message}
        </p>
      ))}
    </div>
  );
}
