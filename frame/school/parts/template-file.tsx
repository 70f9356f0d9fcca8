"use client";

import { useState } from "react";
import { useFormContext } from "react-hook-form";
import { FileButton } from "@/ui/file-button";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";

/** What a template's file says of the project itself; nothing where it cannot be read: the server says why. */
function projectIn(text: string): Record<string, string> {
  try {
    const { project } = JSON.parse(text) as { project?: Record<string, unknown> };
    const known = ["title", "purpose", "kind", "client", "currency"];
    return Object.fromEntries(
      Object.entries(project ?? {}).flatMap(([k, v]) => (known.includes(k) && typeof v === "string" ? [[k, v]] : [])),
    );
  } catch {
    return {};
  }
}

/** Begins the project with a template that somebody saved: what it says of itself fills the fields below. */
export function TemplateFile() {
  const ready = useReady();
  const form = useFormContext();
  const [name, setName] = useState("");
  const error = form.formState.errors.file?.message as string | undefined;
  async function take(file: File) {
    const text = await file.text();
    form.setValue("file", text, { shouldDirty: true });
    form.clearErrors("file");
    for (const [k, v] of Object.entries(projectIn(text))) form.setValue(k, v, { shouldDirty: true });
    setName(file.name);
  }
  return (
    <div className="grid gap-1">
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <FileButton label="Template" accept=".json,application/json" disabled={!ready} onFile={(f) => void take(f)}>
          Begin with a template file
        </FileButton>
        {name && (
          <>
            <span>{name}</span>
            <button
              type="button"
              className={buttonClass("quiet")}
              onClick={() => {
                form.setValue("file", undefined);
                form.clearErrors("file");
                setName("");
              }}
            >
              without it
            </button>
          </>
        )}
      </p>
      <p role="status" className="text-sm text-iron">
        {error}
      </p>
    </div>
  );
}
