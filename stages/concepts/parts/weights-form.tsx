"use client";

import { useState } from "react";
import { pairwiseMatrix, pairwiseWeights } from "@/core/concepts/matrix";
import { ActButton } from "@/ui/form/act-button";
import { Panels } from "@/ui/panels";
import { useReady } from "@/ui/ready";
import { weighSelectionAction } from "../actions";
import { TwoByTwo } from "./two-by-two";

/** Weights by hand, or from comparing criteria two by two; the contradiction among the answers is said. */
export function WeightsForm({
  id,
  version,
  criteria,
  pairs,
  scored,
}: {
  id: string;
  version: number;
  criteria: { key: string; name: string; weight: number }[];
  pairs: Record<string, number>;
  /** Sheets are in: then a reason is asked for. */
  scored: boolean;
}) {
  const ready = useReady();
  const [typed, setTyped] = useState(criteria.map((c) => String(Number(c.weight.toFixed(3)))));
  const [answers, setAnswers] = useState(pairs);
  const [how, setHow] = useState<"hand" | "pairs">(Object.keys(pairs).length ? "pairs" : "hand");
  const [note, setNote] = useState("");
  const [reason, setReason] = useState("");
  const result = criteria.length > 1 ? pairwiseWeights(pairwiseMatrix(criteria.length, answers)) : null;
  const weights = how === "pairs" && result ? result.weights : typed.map((t) => Number(t.replace(",", ".")));
  const ok = weights.every((w) => w > 0);
  return (
    <fieldset disabled={!ready} className="grid gap-2">
      <Panels
        label="How the weights are found"
        value={how}
        onChange={setHow}
        panels={[
          {
            value: "hand",
            label: "by hand",
            content: (
              <div className="flex flex-wrap gap-3">
                {criteria.map((c, i) => (
                  <label key={c.key} className="grid gap-1 text-sm">
                    <span>{c.name}</span>
                    <input
                      className="input w-24"
                      inputMode="decimal"
                      value={typed[i]}
                      onChange={(e) => setTyped(typed.map((t, j) => (j === i ? e.target.value : t)))}
                    />
                  </label>
                ))}
              </div>
            ),
          },
          {
            value: "pairs",
            label: "two by two",
            content: (
              <TwoByTwo
                criteria={criteria}
                answers={answers}
                onAnswer={(pair, v) => setAnswers({ ...answers, [pair]: v })}
                result={result}
              />
            ),
          },
        ]}
      />
      {scored && (
        <label className="grid gap-1 text-sm">
          <span>Why they change, now that sheets are in</span>
          <input
            className="input max-w-md"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            maxLength={300}
          />
        </label>
      )}
      <p className="flex items-center gap-2">
        <ActButton
          key={JSON.stringify([weights, reason])}
          action={weighSelectionAction}
          input={{ id, version, weights, reason, ...(how === "pairs" ? { pairs: answers } : {}) }}
          onDone={() => setNote("Kept.")}
        >
          Use these weights
        </ActButton>
        <span className="text-sm text-moss" role="status">
          {!ok ? "" : note}
        </span>
      </p>
    </fieldset>
  );
}
