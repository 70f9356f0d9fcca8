"use client";

import { useState } from "react";
import { pairwiseMatrix, pairwiseWeights } from "@/core/concepts/matrix";
import { ActButton } from "@/ui/form/act-button";
import { Panels } from "@/ui/panels";
import { useReady } from "@/ui/ready";
import { weighSelectionAction } from "../actions";
import { TwoByTwo } from "./two-by-two";

interface Draft {
  version: number;
  typed: string[];
  answers: Record<string, number>;
  how: "hand" | "pairs";
  reason: string;
  /** It was taken: the page shows it as soon as it has it. */
  saved?: boolean;
}

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
  const stands: Draft = {
    version,
    typed: criteria.map((c) => String(Number(c.weight.toFixed(3)))),
    answers: pairs,
    how: Object.keys(pairs).length ? "pairs" : "hand",
    reason: "",
  };
  // What is changed here stays, with the version it was begun on, when somebody else saves.
  const [kept, setDraft] = useState<Draft | null>(null);
  const draft = kept?.saved && kept.version !== version ? null : kept;
  const { typed, answers, how, reason, ...begun } = draft ?? stands;
  const change = (to: Partial<Draft>) => setDraft({ ...stands, ...draft, saved: false, ...to });
  const [note, setNote] = useState("");
  const result = criteria.length > 1 ? pairwiseWeights(pairwiseMatrix(criteria.length, answers)) : null;
  const weights = how === "pairs" && result ? result.weights : typed.map((t) => Number(t.replace(",", ".")));
  const ok = weights.every((w) => w > 0);
  return (
    <fieldset disabled={!ready} className="grid gap-2">
      <Panels
        label="How the weights are found"
        value={how}
        onChange={(to) => change({ how: to })}
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
                      onChange={(e) => change({ typed: typed.map((t, j) => (j === i ? e.target.value : t)) })}
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
                onAnswer={(pair, v) => change({ answers: { ...answers, [pair]: v } })}
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
            onChange={(e) => change({ reason: e.target.value })}
            maxLength={300}
          />
        </label>
      )}
      {begun.version !== version && (
        <p className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          Somebody changed them meanwhile: {criteria.map((c, i) => `${c.name} ${stands.typed[i]}`).join(", ")}.{" "}
          <button type="button" className="underline" onClick={() => setDraft(null)}>
            take these
          </button>{" "}
          <button type="button" className="underline" onClick={() => change({ version })}>
            go on with mine
          </button>
        </p>
      )}
      <p className="flex items-center gap-2">
        <ActButton
          key={JSON.stringify([weights, reason])}
          action={weighSelectionAction}
          input={{ id, version: begun.version, weights, reason, ...(how === "pairs" ? { pairs: answers } : {}) }}
          onDone={() => {
            change({ saved: true });
            setNote("Kept.");
          }}
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
