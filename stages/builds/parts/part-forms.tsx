"use client";

import { useRef } from "react";
import type { ProjectUnits } from "@/core/quantity/systems";
import { partSource } from "@/core/vocabulary/builds";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { copyPartLinesAction, savePartLineAction, withdrawPartLineAction } from "../actions";
import { partLine } from "../schema";

const { TextField, SelectField, QuantityField } = fieldsOf(partLine);

const Fields = ({ units, currency }: { units: ProjectUnits; currency: string }) => (
  <>
    <TextField name="name" label="Part" className="min-w-40 grow" />
    <TextField name="count" label="Count" inputMode="numeric" className="w-16" />
    <QuantityField name="mass" label="Mass of one" unit={units.mass} className="w-28" />
    <QuantityField name="cost" label={`Price of one${currency ? ` (${currency})` : ""}`} unit="1" className="w-28" />
    <SelectField name="source" label="From" options={partSource.options} className="w-44" />
    <TextField name="supplier" label="Supplier or shelf" className="w-36" />
  </>
);

/** The next line of the list: Enter saves it and begins another. */
export function AddPart({ buildId, ...shown }: { buildId: string; units: ProjectUnits; currency: string }) {
  const box = useRef<HTMLDivElement>(null);
  return (
    <div ref={box}>
      <ActionForm
        inline
        schema={partLine}
        action={savePartLineAction}
        fixed={{ buildId, version: 0 }}
        defaults={{ name: "", count: "1", mass: "", cost: "", source: "bought", supplier: "" }}
        submit="Add"
        clear
        onDone={() => box.current?.querySelector("input")?.focus()}
      >
        <Fields {...shown} />
      </ActionForm>
    </div>
  );
}

/** A line corrected or taken out. */
export const PartTools = ({
  buildId,
  id,
  version,
  name,
  defaults,
  ...shown
}: {
  buildId: string;
  id: string;
  version: number;
  name: string;
  defaults: Record<string, string>;
  units: ProjectUnits;
  currency: string;
}) => (
  <UnfoldForm
    label="correct"
    beside={
      <WithdrawButton action={withdrawPartLineAction} id={id} name={name}>
        take out
      </WithdrawButton>
    }
    schema={partLine}
    action={savePartLineAction}
    fixed={{ buildId, id, version }}
    defaults={defaults}
    submit="Save"
    saved="Saved."
    inline
  >
    <Fields {...shown} />
  </UnfoldForm>
);

/** The list of the generation before, taken over: what changed is then corrected. */
export const CopyParts = ({ buildId, fromId, from }: { buildId: string; fromId: string; from: string }) => (
  <ActButton action={copyPartLinesAction} input={{ buildId, fromId }}>
    {`Take the parts of ${from}`}
  </ActButton>
);
