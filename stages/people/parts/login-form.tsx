"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { giveLoginAction } from "../actions";
import { login } from "../schema";
import { Once } from "./once";
import type { SlipShown } from "./slips";

const { TextField } = fieldsOf(login);

/**
 * A student's sign-in: the name where there is one, and the form that makes it or a new password. A first password
 * stays until the page is left, also when the row behind it is loaded again.
 */
export function LoginForm({
  projectId,
  personId,
  loginName,
  email,
  hasLogin,
}: {
  projectId: string;
  personId: string;
  loginName: string;
  email: string;
  hasLogin: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [made, setMade] = useState<SlipShown | null>(null);
  if (made) return <Once label={`${made.signIn}, first password:`} value={made.password} />;
  if (!open)
    return (
      <span className="flex flex-wrap items-baseline gap-x-3">
        {hasLogin && (loginName || email)}
        <button type="button" className="text-sm text-soft underline" onClick={() => setOpen(true)}>
          {hasLogin ? "new password" : "give a login"}
        </button>
      </span>
    );
  return (
    <ActionForm
      inline
      schema={login}
      action={giveLoginAction}
      fixed={{ projectId, personId }}
      defaults={{ loginName, email }}
      submit={hasLogin ? "Make a new password" : "Make a password"}
      look="plain"
      onDone={(v) => setMade(v as SlipShown)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          No
        </button>
      }
    >
      <TextField name="loginName" label="Sign-in name" hint="Left empty, it is made from the name." className="w-40" />
      <TextField name="email" label="Email, if there is one" className="w-48" />
    </ActionForm>
  );
}
