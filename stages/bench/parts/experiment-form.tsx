"use client";

import { useRouter } from "next/navigation";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { experiment } from "../schema";

const { TextArea, TextField } = fieldsOf(experiment);

/** What an experiment is made of; the answer is an address, so that it can be kept and sent on. */
export function ExperimentForm({ base, defaults }: { base: string; defaults: Record<string, string> }) {
  const router = useRouter();
  return (
    <ActionForm<string>
      schema={experiment}
      action={async (input) => ({
        ok: true,
        value: `${base}${base.includes("?") ? "&" : "?"}${new URLSearchParams(input as Record<string, string>)}`,
      })}
      defaults={defaults}
      submit="Draw the runs"
      onDone={(address) => router.push(address)}
    >
      <TextArea name="factors" label="Factors and their levels" rows={4} hint="One a line: valve: flap, ball" />
      <div className="grid grid-cols-2 gap-3">
        <TextField name="repeats" label="Each combination, times" inputMode="numeric" />
        <TextField name="minutes" label="Minutes a run takes" inputMode="decimal" />
      </div>
      <TextField name="seed" label="Seed of the order" hint="The same seed draws the same order." />
    </ActionForm>
  );
}
