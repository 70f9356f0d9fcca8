"use client";

import { ActButton } from "@/ui/form/act-button";
import { seeEntryAction } from "../actions";

/** Marks an entry as read in the version that stands there, or as unread again. */
export const ReadButton = ({ entryId, number, read }: { entryId: string; number: number; read: boolean }) => (
  <span data-read={read ? undefined : ""}>
    <ActButton action={seeEntryAction} input={{ entryId, number: read ? 0 : number }} look="quiet">
      {read ? "unread again" : "read"}
    </ActButton>
  </span>
);
