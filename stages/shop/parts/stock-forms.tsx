"use client";

import { stockForm, stockMove } from "@/core/vocabulary/shop";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import {
  addStockItemAction,
  editStockItemAction,
  gotPartsAction,
  moveStockAction,
  withdrawStockItemAction,
} from "../actions";
import { editStockItem, moveStock, stockItem } from "../schema-stock";

const { TextField, SelectField, CheckField } = fieldsOf(stockItem);
const move = fieldsOf(moveStock);

function Fields({ unit, currency }: { unit: string; currency: string }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="name" label="Material or part" />
        <SelectField name="form" label="Counted in" options={stockForm.options} />
        <TextField name="size" label="Size of one" hint={`Sheets and bars: 600 × 400 ${unit}, 2400 ${unit}.`} />
      </div>
      <div className="grid gap-3 sm:grid-cols-4">
        <TextField name="price" label={`Price of one (${currency})`} inputMode="decimal" />
        <TextField name="low" label="Bought again below" inputMode="decimal" />
        <TextField name="place" label="Place" />
        <TextField name="supplier" label="Supplier" />
      </div>
      <CheckField name="donated" label="It is given, not bought" />
    </>
  );
}

/** Adds something to the stock. */
export function NewStockItem({ projectId, unit, currency }: { projectId: string; unit: string; currency: string }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="Stock more"
      buttonLook="plain"
      schema={stockItem}
      action={addStockItemAction}
      fixed={{ id, projectId }}
      defaults={{ name: "", form: "pieces", size: "", price: "", low: "", place: "", supplier: "", donated: false }}
      submit="Add it"
      className="grid max-w-[760px] gap-3"
      onDone={renew}
    >
      <Fields unit={unit} currency={currency} />
    </UnfoldForm>
  );
}

/** Corrects what is said of something in stock. */
export const EditStockItem = ({
  id,
  version,
  unit,
  currency,
  typed,
}: {
  id: string;
  version: number;
  unit: string;
  currency: string;
  typed: Record<string, string | boolean>;
}) => (
  <UnfoldForm
    label="correct"
    schema={editStockItem}
    action={editStockItemAction}
    fixed={{ id, version }}
    defaults={typed}
    submit="Save"
    className="grid min-w-80 gap-3"
  >
    <Fields unit={unit} currency={currency} />
    <p className="text-sm text-soft">
      Listed by mistake?{" "}
      <WithdrawButton action={withdrawStockItemAction} id={id} name={String(typed.name)}>
        take out
      </WithdrawButton>
    </p>
  </UnfoldForm>
);

/** Writes what came or went. */
export function MoveStock({ itemId, teams }: { itemId: string; teams: readonly Option[] }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="came or went"
      schema={moveStock}
      action={moveStockAction}
      fixed={{ id, itemId }}
      defaults={{ kind: "taken", amount: "", teamId: "", note: "" }}
      submit="Write it down"
      className="grid min-w-64 gap-2 text-left"
      onDone={renew}
    >
      <move.SelectField name="kind" label="What" options={stockMove.options} />
      <move.TextField name="amount" label="How much" inputMode="decimal" />
      <move.SelectField name="teamId" label="Team" options={[...teams]} empty="no team" />
      <move.TextField name="note" label="Note" />
    </UnfoldForm>
  );
}

/** Says that what builds list is here, or not. */
export const GotParts = ({ partIds, got, name }: { partIds: readonly string[]; got: boolean; name: string }) => (
  <ActButton action={gotPartsAction} input={{ partIds, got }} look="quiet">
    {got ? "it is here" : "not here after all"}
    <span className="sr-only"> {name}</span>
  </ActButton>
);
