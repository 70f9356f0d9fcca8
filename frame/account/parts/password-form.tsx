"use client";

import { ownPassword } from "@/stages/people/schema";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { changePasswordAction } from "../actions";

const { TextField } = fieldsOf(ownPassword);

export function PasswordForm() {
  return (
    <ActionForm
      schema={ownPassword}
      action={changePasswordAction}
      defaults={{ current: "", password: "" }}
      submit="Change the password"
      saved="Changed. Your other devices are signed out."
      clear
    >
      <TextField name="current" label="Password now" type="password" autoComplete="current-password" />
      <TextField
        name="password"
        label="New password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters; a short sentence is good."
      />
    </ActionForm>
  );
}
