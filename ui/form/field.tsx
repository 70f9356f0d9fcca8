"use client";

import { createContext, type ReactNode, useContext, useId } from "react";
import { useFormContext } from "react-hook-form";
import { cx } from "../classes";

const Prefix = createContext("");

export const FieldGroup = ({ name, children }: { name: string; children: ReactNode }) => (
  <Prefix.Provider value={`${name}.`}>{children}</Prefix.Provider>
);

/** A field's full name in its group. */
export const useFieldName = (name: string): string => useContext(Prefix) + name;

export function useField(name: string) {
  const full = useFieldName(name);
  const form = useFormContext();
  const id = useId();
  const error = form.getFieldState(full, form.formState).error?.message;
  return {
    full,
    id,
    form,
    error,
    register: (options?: Parameters<typeof form.register>[1]) => form.register(full, options),
  };
}

export interface FieldProps {
  name: string;
  label: string;
  hint?: ReactNode;
  className?: string;
  hideLabel?: boolean;
}

export function Frame({
  id,
  label,
  hint,
  error,
  children,
  className,
  hideLabel,
}: Omit<FieldProps, "name"> & { id: string; error?: string; children: ReactNode }) {
  return (
    <div className={cx("grid content-start gap-1", className)}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "text-[12.5px] font-[600]"}>
        {label}
      </label>
      {children}
      {error ? (
        <p id={`${id}-e`} className="text-sm text-iron">
          {error}
        </p>
      ) : hint ? (
        <p id={`${id}-e`} className="text-sm text-soft">
          {hint}
        </p>
      ) : null}
    </div>
  );
}
