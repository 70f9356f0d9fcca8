"use client";

import { useState } from "react";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { releaseBuildAction } from "../actions";
import { release } from "../schema";

const { TextField } = fieldsOf(release);

/** Ends the impound of a build, with the reason. */
export function ReleaseForm({ buildId, after, via }: { buildId: string; after: number; via?: "guest" }) {
  const [id] = useState(() => crypto.randomUUID());
  return (
    <UnfoldForm
      inline
      label="Release from the impound"
      buttonLook="plain"
      schema={release}
      action={releaseBuildAction}
      fixed={{ id, buildId, after }}
      via={via}
      defaults={{ reason: "" }}
      submit="Release"
    >
      <TextField name="reason" label="What is changed or repaired" className="w-72" />
    </UnfoldForm>
  );
}
