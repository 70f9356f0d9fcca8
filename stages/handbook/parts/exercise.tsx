"use client";

import { useRouter } from "next/navigation";
import { RadioGroup } from "radix-ui";
import { useId, useState } from "react";
import { trainerKind } from "@/core/vocabulary/handbook";
import type { Working } from "@/core/working/working";
import { useSend } from "@/ui/form/send";
import { useNewId } from "@/ui/new-id";
import { buttonClass, Sheet } from "@/ui/page";
import { Radio } from "@/ui/radio";
import { useReady } from "@/ui/ready";
import { Figure } from "@/ui/working";
import { answerExerciseAction } from "../actions";
import type { Asked } from "../view/trainer";

interface Told {
  readonly right: boolean;
  readonly answer: string;
  readonly working: Working;
}

/** An exercise: answered once, told whether it is right and how one gets there, and on to the next. */
export function ExerciseForm({
  asked,
  projectId,
  next,
}: {
  asked: Asked;
  projectId: string;
  /** Where the next one is. */
  next: string;
}) {
  const router = useRouter();
  const ready = useReady();
  const id = useId();
  const [key] = useNewId();
  const [given, setGiven] = useState("");
  const [told, setTold] = useState<Told | null>(null);
  const { send, busy, note } = useSend<Told>(answerExerciseAction as never);
  const answer = async () => {
    const { kind, seed, seen } = asked;
    const result = await send({ id: key, projectId, kind, seed, seen, given }, { stay: true });
    if (result?.ok) setTold(result.value);
  };
  return (
    <Sheet title={trainerKind.labels[asked.kind].replace(/^./, (c) => c.toUpperCase())} className="max-w-[760px]">
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (told) router.push(next);
          else void answer();
        }}
      >
        <p id={id} className="text-[15px] font-[600]">
          {asked.question}
        </p>
        <ul className="my-2 list-disc pl-5">
          {asked.given.map((g) => (
            <li key={g}>{g}</li>
          ))}
        </ul>
        {asked.typed ? (
          <label className="flex items-baseline gap-2">
            <input
              className="input w-56"
              aria-labelledby={id}
              placeholder={asked.typed.like}
              autoComplete="off"
              maxLength={60}
              disabled={!ready || told !== null}
              value={given}
              onChange={(e) => setGiven(e.target.value)}
            />
            <span className="unit">{asked.typed.unit === "1" ? "" : asked.typed.unit}</span>
          </label>
        ) : (
          <RadioGroup.Root
            aria-labelledby={id}
            value={given}
            onValueChange={setGiven}
            disabled={!ready || told !== null}
            className="grid gap-1.5"
          >
            {asked.options.map((o, i) => (
              <label key={o} className="flex items-start gap-2">
                <Radio value={String(i)} className="mt-1" />
                <span>{o}</span>
              </label>
            ))}
          </RadioGroup.Root>
        )}
        <div role="status" className="mt-3">
          {note && <p className="text-iron">{note}</p>}
          {told && (
            <div className={told.right ? "border-l-4 border-moss px-3 py-1" : "border-l-4 border-iron px-3 py-1"}>
              <p className="font-[650]">{told.right ? "Right." : "Not right."}</p>
              <p>
                {!told.right && "Right is: "}
                <Figure working={told.working}>{told.answer}</Figure>
              </p>
              <p className="text-soft">{told.working.rule}</p>
              {told.working.steps.map((s) => (
                <p key={s} className="text-sm">
                  {s}
                </p>
              ))}
            </div>
          )}
        </div>
        <button
          type="submit"
          className={`${buttonClass("main")} mt-3`}
          disabled={!ready || busy || (!told && !given.trim())}
        >
          {told ? "Next exercise" : "Answer"}
        </button>
      </form>
    </Sheet>
  );
}
