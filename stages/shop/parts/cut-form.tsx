"use client";

import { useFormContext, useWatch } from "react-hook-form";
import { cutKind, cutWay } from "@/core/vocabulary/shop";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { editCutListAction, keepCutListAction } from "../actions";
import { cutList, editCutList } from "../schema-stock";
import type { TypedCuts } from "../view/cutting";
import { CutPlanner } from "./cut-planner";

const { TextField, TextArea, SelectField } = fieldsOf(cutList);
const MethodField = methodFieldOf(cutList);

/** A list of the stock that pieces can be cut from, as lines of the form. */
export interface StockLines {
  readonly bars: string;
  readonly sheets: string;
}

function Fields({ unit, stock, teams }: { unit: string; stock: StockLines; teams?: readonly Option[] }) {
  const { control, setValue } = useFormContext();
  const [kind, way, kerf, border, blanks, pieces] = useWatch({
    control,
    name: ["kind", "way", "kerf", "border", "blanks", "pieces"],
  }) as string[];
  const typed = { kind, way, kerf, border, blanks, pieces } as unknown as TypedCuts;
  const bars = kind === "bars";
  const there = bars ? stock.bars : stock.sheets;
  return (
    <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <div className="no-print grid gap-3">
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField name="title" label="Title" />
          {teams && <SelectField name="teamId" label="Whose" options={[...teams]} empty="the whole class" />}
        </div>
        <MethodField name="kind" label="What is cut" options={cutKind.options} />
        {!bars && <MethodField name="way" label="How it is cut" options={cutWay.options} />}
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField name="kerf" label={`Width of a cut (${unit})`} inputMode="decimal" />
          <TextField
            name="border"
            label={bars ? `Left at each end (${unit})` : `Border (${unit})`}
            inputMode="decimal"
          />
        </div>
        <TextArea
          name="blanks"
          label="Cut from"
          rows={3}
          hint={
            `One a line: name; size; how many there are (as many as needed where nothing is said). ` +
            (bars ? `Pine strip; 2400 ${unit}; 5` : `Birch ply; 600 × 400 ${unit}; 3`)
          }
        />
        {there && (
          <div>
            <button
              type="button"
              className={buttonClass("quiet")}
              onClick={() =>
                setValue("blanks", [blanks?.trim(), there].filter(Boolean).join("\n"), { shouldDirty: true })
              }
            >
              take what is in stock
            </button>
          </div>
        )}
        <TextArea
          name="pieces"
          label="Pieces"
          rows={9}
          hint={
            `One a line, or pasted from a spreadsheet: name; size; how many` +
            (bars
              ? `. Leg; 798 ${unit}; 6`
              : `; “grain” where it must not be turned. Side; 300 × 200 ${unit}; 4; grain`)
          }
        />
      </div>
      <CutPlanner typed={typed} unit={unit} />
    </div>
  );
}

const blank = { title: "", teamId: "", kind: "sheets", way: "edge", kerf: "", border: "", blanks: "", pieces: "" };

/** A student's list is the own team's: nothing of a team is typed. */
const withoutTeam = ({ teamId: _, ...rest }: typeof blank) => rest;

/** A new list: its plan is seen while it is written, and it is kept when asked. */
export function NewCutList({
  projectId,
  unit,
  stock,
  teams,
  own,
  begun,
  goTo,
}: {
  projectId: string;
  unit: string;
  stock: StockLines;
  teams?: readonly Option[];
  own?: string;
  /** What the list begins with, from a build's pieces. */
  begun: Partial<typeof blank>;
  goTo: string;
}) {
  const [id] = useNewId();
  return (
    <ActionForm
      schema={cutList}
      action={keepCutListAction}
      fixed={{ id, projectId, ...(own ? { teamId: own } : {}) }}
      defaults={own ? withoutTeam({ ...blank, ...begun }) : { ...blank, ...begun }}
      submit="Keep this list"
      goTo={goTo}
    >
      <Fields unit={unit} stock={stock} teams={teams} />
    </ActionForm>
  );
}

/** A list that was kept, to be corrected: its plan is found anew. */
export const EditCutList = ({
  id,
  version,
  unit,
  stock,
  typed,
}: {
  id: string;
  version: number;
  unit: string;
  stock: StockLines;
  typed: Record<string, string>;
}) => (
  <ActionForm
    schema={editCutList}
    action={editCutListAction}
    fixed={{ id, version }}
    defaults={typed}
    submit="Save"
    saved="Saved."
    look="plain"
  >
    <Fields unit={unit} stock={stock} />
  </ActionForm>
);
