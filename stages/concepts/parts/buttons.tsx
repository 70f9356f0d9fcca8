"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { PictureUpload } from "@/ui/picture";
import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import {
  addSketchAction,
  removeSketchAction,
  reopenSelectionAction,
  withdrawConceptAction,
  withdrawSelectionAction,
} from "../actions";

export const SketchUpload = ({ conceptId }: { conceptId: string }) => (
  <PictureUpload action={addSketchAction} input={{ conceptId }} label="Sketch file">
    Add a sketch or photo
  </PictureUpload>
);

export const RemoveSketch = ({ id }: { id: string }) => (
  <WithdrawButton action={removeSketchAction} id={id}>
    remove
  </WithdrawButton>
);

export const StaffSheet = (props: { q: SheetQuestion; raterId: string; given: Record<string, unknown> | null }) => (
  <SelectionSheet {...props} />
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

export const WithdrawConcept = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawConceptAction}
    id={id}
    says="The concept goes, with its sketches and its words on the musts."
    goTo={goTo}
  >
    Withdraw
  </WithdrawButton>
);

export const WithdrawSelection = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawSelectionAction}
    id={id}
    says="The choice goes, with every sheet that was handed in for it; the concepts stay."
    goTo={goTo}
  >
    Withdraw
  </WithdrawButton>
);
