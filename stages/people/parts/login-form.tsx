"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { giveLoginAction } from "../actions";
import { login } from "../schema";
import { Once } from "./once";

const { TextField } = fieldsOf(login);

/**
 * A student's sign-in: the address where there is one, else the form that makes it. The first password stays until the
 * page is left, also when the row behind it is loaded again.
 */
export function LoginForm({
  projectId,
  personId,
  email,
  hasLogin,
}: {
  projectId: string;
  personId: string;
  email: string;
  hasLogin: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState("");
  if (password) return <Once label="First password:" value={password} />;
  if (hasLogin) return email;
  if (!open)
    return (
      <button type="button" className="text-sm text-soft underline" onClick={() => setOpen(true)}>
        give a login
      </button>
    );
  return (
    <ActionForm
      inline
      schema={login}
      action={giveLoginAction}
      fixed={{ projectId, personId }}
      defaults={{ email }}
      submit="Make a password"
      look="plain"
      onDone={(v) => setPassword((v as { password: string }).password)}
    >
      <TextField name="email" label="Email" hideLabel placeholder="email" className="w-48" />
    </ActionForm>
  );
}
