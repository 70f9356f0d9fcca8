"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { saveAllowedPartAction, withdrawAllowedPartAction } from "../actions";
import { allowedPart } from "../schema";

const { TextField } = fieldsOf(allowedPart);

const Fields = () => (
  <>
    <TextField name="name" label="Part or material" className="w-56" />
    <TextField name="most" label="At most" className="w-20" />
  </>
);

/** The parts that are allowed by count: each becomes a line of every inspection. */
export const AllowedParts = ({
  projectId,
  parts,
}: {
  projectId: string;
  parts: readonly { id: string; name: string; most: number; version: number }[];
}) => (
  <>
    <p className="mb-2 text-soft">Each is counted at the inspection; 0 means that none may be on it.</p>
    <ul className="mb-2">
      {parts.map((p) => (
        <li key={`${p.id} ${p.version}`} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1.5">
          <span className="grow">
            {p.name} <span className="text-soft">{p.most === 0 ? "none" : `at most ${p.most}`}</span>
          </span>
          <UnfoldForm
            inline
            label="change"
            schema={allowedPart}
            action={saveAllowedPartAction}
            fixed={{ projectId, id: p.id, version: p.version }}
            defaults={{ name: p.name, most: p.most }}
            submit="Save"
          >
            <Fields />
          </UnfoldForm>
          <WithdrawButton action={withdrawAllowedPartAction} id={p.id} name={p.name}>
            take out
          </WithdrawButton>
        </li>
      ))}
    </ul>
    <UnfoldForm
      inline
      label="Allow a part by count"
      buttonLook="plain"
      schema={allowedPart}
      action={saveAllowedPartAction}
      fixed={{ projectId }}
      defaults={{ name: "" }}
      submit="Add"
    >
      <Fields />
    </UnfoldForm>
  </>
);
