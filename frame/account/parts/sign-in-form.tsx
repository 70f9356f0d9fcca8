"use client";

import * as yup from "yup";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { signInAction } from "../actions";

const signIn = yup.object({
  email: yup.string().trim().required("Write your email address or sign-in name."),
  password: yup.string().required("Write your password."),
});

const { TextField } = fieldsOf(signIn);

export function SignInForm() {
  return (
    <ActionForm
      schema={signIn}
      action={signInAction}
      defaults={{ email: "", password: "" }}
      submit="Sign in"
      goTo="/:to"
    >
      <TextField name="email" label="Email or sign-in name" autoComplete="username" />
      <TextField name="password" label="Password" type="password" autoComplete="current-password" />
    </ActionForm>
  );
}
