"use client";

import { type ReactNode, useState } from "react";
import { buttonClass } from "../page";
import { toast } from "../toast";
import { ActionForm, type FormProps } from "./action-form";

/** A form behind a button: it opens in place, and closes when it was saved or left. */
export function UnfoldForm<T>({
  label,
  buttonLook = "quiet",
  beside,
  ...form
}: Omit<FormProps<T>, "cancel"> & {
  /** What the button says. */
  label: ReactNode;
  buttonLook?: "plain" | "quiet";
  /** What else stands in the row while the form is closed. */
  beside?: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <span className="no-print inline-flex flex-wrap items-baseline gap-x-2.5">
        <button type="button" className={buttonClass(buttonLook)} onClick={() => setOpen(true)}>
          {label}
        </button>
        {beside}
      </span>
    );
  return (
    <ActionForm
      look="plain"
      {...form}
      onDone={(value, f) => {
        // The form goes with its own words: they are said beside the page.
        if (form.saved && !form.goTo) toast(form.saved);
        form.onDone?.(value, f);
        setOpen(false);
      }}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          Leave
        </button>
      }
    />
  );
}
