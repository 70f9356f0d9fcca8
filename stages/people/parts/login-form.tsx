"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { giveLoginAction } from "../actions";
import { login } from "../schema";
import { Once } from "./once";

const { TextField } = fieldsOf(login);

export function LoginForm({ projectId, personId, email }: { projectId: string; personId: string; email: string }) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState("");
  if (password) return <Once label="First password:" value={password} />;
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
