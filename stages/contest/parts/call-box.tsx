"use client";

import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { useNewId } from "@/ui/new-id";
import { Sheet } from "@/ui/page";
import { callInHallAction, endCallAction } from "../actions";
import { call } from "../schema";

const { TextField } = fieldsOf(call);

/** Who is called on every board, and a call in words of one's own. */
export function CallBox({
  projectId,
  now,
}: {
  projectId: string;
  now: { readonly id: string; readonly words: string; readonly at: string; readonly by: string } | null;
}) {
  const [id, renew] = useNewId();
  return (
    <Sheet title="Called on every board">
      {now ? (
        <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <strong>{now.words}</strong>
          <span className="text-sm text-soft">
            {now.at}, {now.by}
          </span>
          <ActButton action={endCallAction} input={{ id: now.id }} look="plain">
            They are here
          </ActButton>
        </div>
      ) : (
        <p className="mb-3 text-soft">Nobody.</p>
      )}
      <ActionForm
        key={now?.id ?? "none"}
        inline
        schema={call}
        action={callInHallAction}
        fixed={{ projectId, id }}
        defaults={{ words: "" }}
        submit="Call"
        look="plain"
        clear
        onDone={renew}
      >
        <TextField name="words" label="Another call" placeholder="Gully: your hose is at the desk" className="w-72" />
      </ActionForm>
    </Sheet>
  );
}

/** Calls somebody to every board by one press. */
export function CallButton({ projectId, words }: { projectId: string; words: string }) {
  const [id, renew] = useNewId();
  return (
    <ActButton action={callInHallAction} input={{ projectId, id, words }} look="quiet" onDone={renew}>
      call <span className="sr-only">{words}</span>
    </ActButton>
  );
}
