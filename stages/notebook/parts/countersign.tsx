"use client";

import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { askCountersignAction, countersignAction, withdrawCountersignAction } from "../actions";
import { askCountersign } from "../schema";

const { SelectField } = fieldsOf(askCountersign);

/** A student shows an own entry to somebody of the team, to be read and signed. */
export function AskCountersign({ entryId, partners }: { entryId: string; partners: readonly Option[] }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="have it countersigned"
      schema={askCountersign}
      action={askCountersignAction}
      fixed={{ id, entryId }}
      defaults={{ partnerId: partners[0]?.value ?? "" }}
      submit="Show it"
      className="grid max-w-xs gap-2"
      onDone={renew}
    >
      <SelectField
        name="partnerId"
        label="By"
        options={[...partners]}
        hint="Whom you choose can read this entry, and no other."
      />
    </UnfoldForm>
  );
}

/** The entry is no longer shown. */
export const TakeBack = ({ id, partner }: { id: string; partner: string }) => (
  <WithdrawButton action={withdrawCountersignAction} id={id}>
    take back<span className="sr-only"> from {partner}</span>
  </WithdrawButton>
);

/** Signs what was read. */
export const Sign = ({ id, number, of }: { id: string; number: number; of: string }) => (
  <ActButton action={countersignAction} input={{ id, number }}>
    I have read it: sign<span className="sr-only"> the entry {of}</span>
  </ActButton>
);
