"use client";

import { useActionState } from "react";
import * as yup from "yup";
import { firstInstructor } from "@/data/schemas/people";
import { ActionForm, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { guestPinAction, signInAction, welcomeAction } from "./actions";

const signIn = yup.object({
  email: yup.string().trim().required("Write your email address."),
  password: yup.string().required("Write your password."),
});

export function SignInForm() {
  return (
    <ActionForm
      schema={signIn}
      action={signInAction}
      defaults={{ email: "", password: "" }}
      submit="Sign in"
      goTo="/:to"
    >
      <TextField name="email" label="Email" type="email" autoComplete="username" />
      <TextField name="password" label="Password" type="password" autoComplete="current-password" />
    </ActionForm>
  );
}

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

export function PinForm({ secret }: { secret: string }) {
  const [message, act, busy] = useActionState(guestPinAction.bind(null, secret), null);
  return (
    <form action={act} className="grid gap-3">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">PIN</span>
        <input
          name="pin"
          inputMode="numeric"
          autoComplete="off"
          className="input text-[20px] tracking-[0.3em]"
          maxLength={4}
          required
          aria-describedby="pin-note"
        />
      </label>
      <p id="pin-note" role="status" className="text-sm text-iron">
        {message}
      </p>
      <button type="submit" disabled={busy} className={buttonClass("main")}>
        Open
      </button>
    </form>
  );
}
