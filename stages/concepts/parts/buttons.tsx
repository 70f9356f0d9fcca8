"use client";

import { ActButton } from "@/ui/form/act-button";
import { PictureUpload } from "@/ui/picture";
import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import { addSketchAction, rateConceptsAction, removeSketchAction, reopenSelectionAction } from "../actions";

export const SketchUpload = ({ conceptId }: { conceptId: string }) => (
  <PictureUpload action={addSketchAction} input={{ conceptId }} label="Sketch file">
    Add a sketch or photo
  </PictureUpload>
);

export const RemoveSketch = ({ id }: { id: string }) => (
  <ActButton action={removeSketchAction} input={{ id }} look="quiet" confirm="The sketch goes.">
    remove
  </ActButton>
);

export const StaffSheet = ({ q, given }: { q: SheetQuestion; given: Record<string, unknown> | null }) => (
  <SelectionSheet q={q} given={given} action={rateConceptsAction} />
);

export const ReopenSelection = ({ id }: { id: string }) => (
  <ActButton
    action={reopenSelectionAction}
    input={{ id }}
    look="quiet"
    confirm="Sheets can be handed in again; fates stay until it is closed anew."
  >
    open again
  </ActButton>
);
