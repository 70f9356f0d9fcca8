"use client";

import { useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import type { ProjectUnits } from "@/core/quantity/systems";
import { partSource } from "@/core/vocabulary/builds";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import type { Option } from "@/ui/option";
import { copyPartLinesAction, savePartLineAction, withdrawPartLineAction } from "../actions";
import { partLine } from "../schema";

const { TextField, SelectField, QuantityField } = fieldsOf(partLine);

interface Shown {
  readonly units: ProjectUnits;
  readonly currency: string;
  /** What the shop has in stock. */
  readonly stock: readonly Option[];
}

/** Which of the stock it is taken from, once it is said to come from there. */
function FromStock({ stock }: { stock: readonly Option[] }) {
  const { control } = useFormContext();
  const source = useWatch({ control, name: "source" }) as string;
  if (source !== "stock" || stock.length === 0) return null;
  return (
    <SelectField
      name="stockItemId"
      label="Of the stock"
      options={[...stock]}
      empty="what has its name"
      className="w-48"
    />
  );
}

const Fields = ({ units, currency, stock }: Shown) => (
  <>
    <TextField name="name" label="Part" className="min-w-40 grow" />
    <TextField name="count" label="Count" inputMode="numeric" className="w-16" />
    <QuantityField name="mass" label="Mass of one" unit={units.mass} className="w-28" />
    <QuantityField name="cost" label={`Price of one${currency ? ` (${currency})` : ""}`} unit="1" className="w-28" />
    <SelectField name="source" label="From" options={partSource.options} className="w-44" />
    <FromStock stock={stock} />
    <TextField name="supplier" label="Supplier or shelf" className="w-36" />
  </>
);

/** The next line of the list: Enter saves it and begins another. */
export function AddPart({ buildId, ...shown }: { buildId: string } & Shown) {
  const box = useRef<HTMLDivElement>(null);
  return (
    <div ref={box}>
      <ActionForm
        inline
        schema={partLine}
        action={savePartLineAction}
        fixed={{ buildId, version: 0 }}
        defaults={{ name: "", count: "1", mass: "", cost: "", source: "bought", stockItemId: "", supplier: "" }}
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
} & Shown) => (
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
