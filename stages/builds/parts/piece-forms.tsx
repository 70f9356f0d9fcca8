"use client";

import { cx } from "@/ui/classes";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import type { Option } from "@/ui/option";
import { PictureUpload } from "@/ui/picture";
import { addPhotoAction, copyPiecesAction, listPiecesAction, savePieceAction, withdrawPieceAction } from "../actions";
import { piece } from "../schema";

const { TextField, TextArea, SelectField, CheckField, QuantityField } = fieldsOf(piece);

export interface PieceDefaults {
  name: string;
  makerId: string;
  partId: string;
  oneChance: boolean;
  material: string;
  machine: string;
  settings: string;
  chain: string;
  nominal: string;
  tolerance: string;
  measured: string;
}

export const blankPiece: PieceDefaults = {
  name: "",
  makerId: "",
  partId: "",
  oneChance: false,
  material: "",
  machine: "",
  settings: "",
  chain: "",
  nominal: "",
  tolerance: "",
  measured: "",
};

/** A piece that somebody makes, new or corrected. */
export const PieceForm = ({
  buildId,
  id,
  version = 0,
  name,
  defaults,
  members,
  lines,
  side,
}: {
  buildId: string;
  id?: string;
  version?: number;
  name?: string;
  defaults: PieceDefaults;
  members: readonly Option[];
  /** The lines of the parts list. */
  lines: readonly Option[];
  /** The unit of lengths. */
  side: string;
}) => (
  <UnfoldForm
    label={id ? "correct" : "Another piece"}
    buttonLook={id ? "quiet" : "plain"}
    beside={
      id && (
        <WithdrawButton action={withdrawPieceAction} id={id} name={name}>
          take out
        </WithdrawButton>
      )
    }
    schema={piece}
    action={savePieceAction}
    fixed={{ buildId, id, version }}
    defaults={defaults}
    submit="Save"
    saved="Saved."
    className="grid max-w-[760px] gap-3 text-left whitespace-normal"
  >
    <div className={cx("grid gap-3", lines.length ? "sm:grid-cols-4" : "sm:grid-cols-3")}>
      <TextField name="name" label="Piece" placeholder="Side 2" />
      <SelectField name="makerId" label="Made by" options={[...members]} empty="nobody yet" />
      <TextField name="material" label="Sheet or stock" placeholder="3 mm plywood, sheet 2" />
      {lines.length > 0 && <SelectField name="partId" label="Of the parts list" options={[...lines]} empty="no line" />}
    </div>
    <CheckField
      name="oneChance"
      label="It can be cut once only"
      hint="Then a second person checks it, a cheap trial is seen, and the instructor releases it before it is cut."
    />
    <div className="grid gap-3 sm:grid-cols-4">
      <QuantityField name="nominal" label="Should measure" unit={side} />
      <QuantityField name="tolerance" label="Tolerance ±" unit={side} />
      <QuantityField name="measured" label="Measures" unit={side} />
      <TextField name="chain" label="Stands in line with" placeholder="length of the frame" />
    </div>
    <div className="grid gap-3 sm:grid-cols-[12rem_1fr]">
      <TextField name="machine" label="Machine" placeholder="laser cutter" />
      <TextArea name="settings" label="Its settings" rows={2} hint="One a line: power = 60 %" />
    </div>
    {id && (
      <PictureUpload action={addPhotoAction} input={{ buildId, pieceId: id }} label={`Photo of ${name}`}>
        Add a photo, of its trial for one
      </PictureUpload>
    )}
  </UnfoldForm>
);

/** What the parts list says is made here, as pieces. */
export const ListPieces = ({ buildId, count }: { buildId: string; count: number }) => (
  <ActButton action={listPiecesAction} input={{ buildId }}>
    {count === 1 ? "List the one made part" : `List the ${count} made parts`}
  </ActButton>
);

/** The pieces of the generation before, to be made again. */
export const CopyPieces = ({ buildId, fromId, from }: { buildId: string; fromId: string; from: string }) => (
  <ActButton action={copyPiecesAction} input={{ buildId, fromId }}>
    {`Take the pieces of ${from}`}
  </ActButton>
);
