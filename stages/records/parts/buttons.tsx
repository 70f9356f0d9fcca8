"use client";

import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { toast } from "@/ui/toast";
import {
  archiveProjectAction,
  bringBackAction,
  deleteProjectAction,
  finishProjectAction,
  purgeWithdrawnAction,
  reopenProjectAction,
} from "../actions";
import { deletion, reopen } from "../schema";

const reopening = fieldsOf(reopen);
const deleting = fieldsOf(deletion);

export const FinishButton = ({ projectId }: { projectId: string }) => (
  <ActButton
    action={finishProjectAction}
    input={{ projectId }}
    look="main"
    confirm="The project becomes a record: it takes no more changes. It can be reopened, with a reason."
  >
    Finish the project
  </ActButton>
);

/** Asks for the reason first; it stays on record. */
export const ReopenForm = ({ projectId }: { projectId: string }) => (
  <UnfoldForm
    label="Reopen"
    inline
    schema={reopen}
    action={reopenProjectAction}
    fixed={{ projectId }}
    defaults={{ reason: "" }}
    submit="Reopen"
  >
    <reopening.TextField name="reason" label="Why it is opened again" className="w-72" />
  </UnfoldForm>
);

export const BringBack = ({ id }: { id: string }) => (
  <ActButton action={bringBackAction} input={{ id }} onDone={(x) => toast(`${x.label} is back.`)}>
    Bring back
  </ActButton>
);

export const Purge = ({ id, label }: { id: string; label: string }) => (
  <ActButton
    action={purgeWithdrawnAction}
    input={{ id }}
    look="quiet"
    confirm={`${label} is deleted for good, with what went along. Nobody can bring it back.`}
  >
    delete for good
  </ActButton>
);

export const Archive = ({ projectId, away }: { projectId: string; away: boolean }) => (
  <ActButton action={archiveProjectAction} input={{ projectId, away: !away }}>
    {away ? "Take out of the archive" : "Put into the archive"}
  </ActButton>
);

/** Deletes a project for good; its bundle is saved first, and its title written. */
export const DeleteProject = ({ projectId, title }: { projectId: string; title: string }) => (
  <UnfoldForm
    label="Delete the project"
    schema={deletion}
    action={deleteProjectAction}
    fixed={{ projectId }}
    defaults={{ confirm: "" }}
    submit="Delete for good"
    look="danger"
    goTo="/"
    saved="The project is deleted."
  >
    <deleting.TextField
      name="confirm"
      label={`Everything of it goes, for every team and student. Write ${title} to confirm`}
    />
  </UnfoldForm>
);
