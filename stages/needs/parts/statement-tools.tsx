"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import {
  adoptStatementAction,
  askClientAction,
  linkStatementAction,
  saveStatementAction,
  setStatementAsideAction,
} from "../actions";
import { linkStatement, openQuestion, setAside, statement } from "../schema";
import { WithdrawStatement } from "./buttons";

const wording = fieldsOf(statement);
const link = fieldsOf(linkStatement);
const asking = fieldsOf(openQuestion);
const putAside = fieldsOf(setAside);

/**
 * What is done with one statement: it becomes a requirement, belongs to one, must be asked again, or is set aside with
 * a reason.
 */
export function StatementTools({
  id,
  version,
  projectId,
  text,
  requirementId,
  requirements,
  staff,
  aside,
}: {
  id: string;
  version: number;
  projectId: string;
  text: string;
  requirementId: string | null;
  requirements: Option[];
  staff: boolean;
  aside: boolean;
}) {
  const [open, setOpen] = useState<"" | "edit" | "link" | "ask" | "aside">("");
  const close = () => setOpen("");
  const leave = (
    <button type="button" className={buttonClass("quiet")} onClick={close}>
      Leave
    </button>
  );
  if (aside)
    return (
      <span className="no-print flex flex-wrap gap-x-2.5">
        <ActButton action={setStatementAsideAction} input={{ id, aside: false }} look="quiet">
          take up again
        </ActButton>
        <WithdrawStatement id={id} />
      </span>
    );
  if (open === "edit")
    return (
      <ActionForm
        schema={statement}
        action={saveStatementAction}
        fixed={{ projectId, id, version }}
        defaults={{ text }}
        submit="Save"
        onDone={close}
        cancel={leave}
      >
        <wording.TextArea name="text" label="Statement" rows={2} />
      </ActionForm>
    );
  if (open === "link")
    return (
      <ActionForm
        inline
        schema={linkStatement}
        action={linkStatementAction}
        fixed={{ id }}
        defaults={{ requirementId: requirementId ?? "" }}
        submit="Link"
        look="plain"
        onDone={close}
        cancel={leave}
      >
        <link.SelectField
          name="requirementId"
          label="Belongs to"
          empty="no requirement"
          options={requirements}
          className="w-64"
        />
      </ActionForm>
    );
  if (open === "ask")
    return (
      <ActionForm
        schema={openQuestion}
        action={askClientAction}
        fixed={{ statementId: id }}
        defaults={{ text: "" }}
        submit="Put on the client's page"
        onDone={close}
        cancel={leave}
      >
        <asking.TextField name="text" label="What must be asked again" />
      </ActionForm>
    );
  if (open === "aside")
    return (
      <ActionForm
        schema={setAside}
        action={setStatementAsideAction}
        fixed={{ id, aside: true }}
        defaults={{ reason: "" }}
        submit="Set aside"
        look="plain"
        onDone={close}
        cancel={leave}
      >
        <putAside.TextField name="reason" label="Why it is no need" />
      </ActionForm>
    );
  return (
    <span className="no-print flex flex-wrap gap-x-2.5">
      {staff && !requirementId && (
        <ActButton action={adoptStatementAction} input={{ id }} look="quiet">
          make it a requirement
        </ActButton>
      )}
      {staff && requirements.length > 0 && (
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("link")}>
          {requirementId ? "change the link" : "belongs to…"}
        </button>
      )}
      {staff && (
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("ask")}>
          ask the client
        </button>
      )}
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("edit")}>
        edit
      </button>
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("aside")}>
        set aside
      </button>
    </span>
  );
}
