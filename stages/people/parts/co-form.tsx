"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { addCoInstructorAction } from "../actions";
import { coInstructor } from "../schema";
import { Once } from "./once";

const { TextField } = fieldsOf(coInstructor);

export function CoForm({ projectId }: { projectId: string }) {
  const [password, setPassword] = useState("");
  return (
    <div>
      <ActionForm
        inline
        clear
        schema={coInstructor}
        action={addCoInstructorAction}
        fixed={{ projectId }}
        defaults={{ name: "", email: "" }}
        submit="Add co-instructor"
        look="plain"
        saved="Added."
        onDone={(v) => setPassword((v as { password: string | null }).password ?? "")}
      >
        <TextField name="name" label="Name" className="w-40" />
        <TextField name="email" label="Email" className="w-52" />
      </ActionForm>
      {password && <Once label="First password:" value={password} />}
    </div>
  );
}
