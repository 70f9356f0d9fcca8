"use client";

import { useWatch } from "react-hook-form";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { moveSlotAction, setPanelAction } from "../actions";
import { moveSlot, setPanel } from "../schema-slots";

export interface HandSlot {
  readonly id: string;
  readonly version: number;
  readonly team: string;
  readonly reviewers: readonly string[];
}

const move = fieldsFor<{ slot: string; place: string }>();
const panel = fieldsFor<{ slot: string; reviewers: string[] }>();

const teamOptions = (slots: readonly HandSlot[]) => slots.map((s) => ({ value: s.id, label: s.team }));
const fixedOf = (slots: readonly HandSlot[], id: unknown) => {
  const slot = slots.find((s) => s.id === id);
  return { id: slot?.id, version: slot?.version };
};

/** A team that comes late changes places with another, or takes a free one. */
export const MoveForm = ({
  slots,
  places,
}: {
  slots: readonly HandSlot[];
  places: readonly (Option & { taken: boolean })[];
}) => (
  <ActionForm
    inline
    schema={moveSlot}
    action={moveSlotAction}
    defaults={{ slot: slots[0]?.id ?? "", place: places.find((p) => !p.taken)?.value ?? "" }}
    shape={(v) => {
      const [day, from, room] = String(v.place).split(" ");
      return { ...fixedOf(slots, v.slot), day, from, room: Number(room) };
    }}
    submit="Move"
    look="plain"
    saved="Moved."
  >
    <move.SelectField name="slot" label="Team" options={teamOptions(slots)} className="w-48" />
    <move.SelectField name="place" label="to" options={places} className="w-72" />
  </ActionForm>
);

function Panel({ slots, reviewers }: { slots: readonly HandSlot[]; reviewers: readonly string[] }) {
  const chosen = useWatch({ name: "slot" });
  const now = slots.find((s) => s.id === chosen)?.reviewers.join(", ") || "nobody";
  return (
    <panel.ChoiceField
      name="reviewers"
      label="is seen by"
      hint={`now ${now}`}
      options={reviewers.map((r) => ({ value: r, label: r }))}
    />
  );
}

/** Says by hand who sees a team. */
export const PanelForm = ({ slots, reviewers }: { slots: readonly HandSlot[]; reviewers: readonly string[] }) => (
  <ActionForm
    schema={setPanel}
    action={setPanelAction}
    defaults={{ slot: slots[0]?.id ?? "", reviewers: [] }}
    shape={(v) => ({ ...fixedOf(slots, v.slot), reviewers: v.reviewers })}
    submit="Set"
    look="plain"
    saved="Set."
    clear
  >
    <panel.SelectField name="slot" label="Team" options={teamOptions(slots)} className="w-48" />
    <Panel slots={slots} reviewers={reviewers} />
  </ActionForm>
);
