"use client";

import { firstInstructor } from "@/platform/sign-in/schema";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { welcomeAction } from "../actions";

const { TextField } = fieldsOf(firstInstructor);

export function WelcomeForm() {
  return (
    <ActionForm
      schema={firstInstructor}
      action={welcomeAction}
      defaults={{ name: "", email: "", password: "" }}
      submit="Begin"
      goTo="/:to"
    >
      <TextField name="name" label="Your name" autoComplete="name" />
      <TextField name="email" label="Email" type="email" autoComplete="username" />
      <TextField
        name="password"
        label="Password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters; a short sentence is good."
      />
    </ActionForm>
  );
}
