"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { removeStaffAction, resetInstructorAction } from "../actions";
import { Once } from "./once";

/** What the owner may do with a co-instructor's place: a new password, or the end of it. */
export function StaffEnd({ projectId, personId, name }: { projectId: string; personId: string; name: string }) {
  const [password, setPassword] = useState("");
  if (password) return <Once label={`New password of ${name}:`} value={password} />;
  return (
    <span className="flex flex-wrap gap-3">
      <ActButton
        action={resetInstructorAction}
        input={{ projectId, personId }}
        look="quiet"
        confirm={`${name} is signed out everywhere and needs the new password.`}
        onDone={(v) => setPassword((v as { password: string }).password)}
      >
        new password
      </ActButton>
      <ActButton
        action={removeStaffAction}
        input={{ projectId, personId }}
        look="quiet"
        confirm={`${name} has no access to this project any more; what they wrote stays.`}
      >
        remove
      </ActButton>
    </span>
  );
}
