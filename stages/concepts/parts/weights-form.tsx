"use client";

import { useState } from "react";
import { pairwiseMatrix, pairwiseWeights } from "@/core/concepts/matrix";
import { ActButton } from "@/ui/form/act-button";
import { useReady } from "@/ui/ready";
import { weighSelectionAction } from "../actions";

const scale = [9, 7, 5, 3, 1, 1 / 3, 1 / 5, 1 / 7, 1 / 9];

const say = (v: number, a: string, b: string) =>
  v === 1 ? "both weigh the same" : v > 1 ? `${a}, ${v} times` : `${b}, ${Math.round(1 / v)} times`;

/** Weights by hand, or from comparing criteria two by two; the contradiction among the answers is said. */
export function WeightsForm({
  id,
  version,
  criteria,
  pairs,
}: {
  id: string;
  version: number;
  criteria: { key: string; name: string; weight: number }[];
  pairs: Record<string, number>;
}) {
  const ready = useReady();
  const [typed, setTyped] = useState(criteria.map((c) => String(Number(c.weight.toFixed(3)))));
  const [answers, setAnswers] = useState(pairs);
  const [how, setHow] = useState<"hand" | "pairs">(Object.keys(pairs).length ? "pairs" : "hand");
  const [note, setNote] = useState("");
  const result = criteria.length > 1 ? pairwiseWeights(pairwiseMatrix(criteria.length, answers)) : null;
  const weights = how === "pairs" && result ? result.weights : typed.map((t) => Number(t.replace(",", ".")));
  const ok = weights.every((w) => w > 0);
  return (
    <fieldset disabled={!ready} className="grid gap-2">
      <p className="flex gap-4 text-sm">
        {(["hand", "pairs"] as const).map((h) => (
          <label key={h} className="flex items-center gap-1.5">
            <input type="radio" name="how" className="accent-iron" checked={how === h} onChange={() => setHow(h)} />
            {h === "hand" ? "by hand" : "two by two"}
          </label>
        ))}
      </p>
      {how === "hand" ? (
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
      ) : (
        <>
          <div className="grid gap-1">
            {criteria.flatMap((a, i) =>
              criteria.slice(i + 1).map((b, d) => {
                const key = `${i}/${i + 1 + d}`;
                return (
                  <label key={key} className="grid items-center gap-2 sm:grid-cols-[minmax(0,18rem)_14rem]">
                    <span>
                      What matters more: {a.name} or {b.name}?
                    </span>
                    <select
                      className="input"
                      value={String(answers[key] ?? 1)}
                      onChange={(e) => setAnswers({ ...answers, [key]: Number(e.target.value) })}
                    >
                      {scale.map((v) => (
                        <option key={v} value={String(v)}>
                          {say(v, a.name, b.name)}
                        </option>
                      ))}
                    </select>
                  </label>
                );
              }),
            )}
          </div>
          {result && (
            <p className="text-sm">
              {criteria.map((c, i) => `${c.name} ${result.weights[i]!.toFixed(3)}`).join(" · ")}{" "}
              <span className={result.ratio > 0.1 ? "text-iron" : "text-soft"}>
                consistency ratio {result.ratio.toFixed(3)}
                {result.ratio > 0.1
                  ? ": above 0.1, the answers contradict each other" +
                    `${result.worst ? `, most between ${result.worst.map((i) => criteria[i]!.name).join(", ")}` : ""}`
                  : ""}
              </span>
            </p>
          )}
        </>
      )}
      <p className="flex items-center gap-2">
        <ActButton
          key={JSON.stringify(weights)}
          action={weighSelectionAction}
          input={{ id, version, weights, ...(how === "pairs" ? { pairs: answers } : {}) }}
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
