"use client";

import { peerMethod } from "@/core/vocabulary/grades";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { openPeerRoundAction, setPeerRoundAction, withdrawPeerRoundAction } from "../actions";
import { openPeers } from "../schema";

const { TextField } = fieldsOf(openPeers);
const MethodField = methodFieldOf(openPeers);

/** Asks the class to rate their teams. */
export function OpenRound({ projectId, slug, first }: { projectId: string; slug: string; first: boolean }) {
  return (
    <UnfoldForm
      label={first ? "Open a rating" : "Open another rating"}
      buttonLook="plain"
      schema={openPeers}
      action={openPeerRoundAction}
      fixed={{ projectId }}
      defaults={{ title: "", method: "ratings" }}
      submit="Open it to the students"
      goTo={`/p/${slug}/grades/peers?round=:id`}
    >
      <TextField name="title" label="What it is called" hint="like After the prototype" />
      <MethodField name="method" label="How students rate" options={peerMethod.options} />
    </UnfoldForm>
  );
}

/** Closes a rating or opens it again, or takes it out. */
export function RoundButtons({
  id,
  version,
  open,
  slug,
}: {
  id: string;
  version: number;
  open: boolean;
  slug: string;
}) {
  return (
    <>
      <ActButton key={version} action={setPeerRoundAction} input={{ id, version, open: !open }}>
        {open ? "Close the rating" : "Open it again"}
      </ActButton>
      <WithdrawButton
        action={withdrawPeerRoundAction}
        id={id}
        says="What every student handed in goes with it."
        goTo={`/p/${slug}/grades/peers`}
      />
    </>
  );
}
