"use client";

import { useFormContext, useWatch } from "react-hook-form";
import { pairwiseMatrix, pairwiseWeights } from "@/core/concepts/matrix";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import { Panels } from "@/ui/panels";
import { weighSelectionAction } from "../actions";
import { selectionWeights } from "../schema";
import { TwoByTwo } from "./two-by-two";

interface Typed {
  /** As typed, by criterion. */
  weights: string[];
  /** Which of two matters more, by their places. */
  pairs: Record<string, number>;
  how: "hand" | "pairs";
  reason: string;
}

const { TextField } = fieldsFor<Typed>();

const compared = ({ weights, pairs }: Typed) =>
  weights.length > 1 ? pairwiseWeights(pairwiseMatrix(weights.length, pairs)) : null;

/** What is sent of what is typed. */
function shape(typed: Typed) {
  const result = typed.how === "pairs" ? compared(typed) : null;
  return {
    weights: result?.weights ?? typed.weights.map((t) => Number(t.replace(",", "."))),
    reason: typed.reason,
    ...(typed.how === "pairs" && { pairs: typed.pairs }),
  };
}

function Weights({ criteria }: { criteria: { key: string; name: string }[] }) {
  const { control, setValue } = useFormContext<Typed>();
  const typed = useWatch({ control }) as Typed;
  return (
    <Panels
      label="How the weights are found"
      value={typed.how}
      onChange={(to) => setValue("how", to, { shouldDirty: true })}
      panels={[
        {
          value: "hand",
          label: "by hand",
          content: (
            <div className="flex flex-wrap gap-3">
              {criteria.map((c, i) => (
                <TextField key={c.key} name={`weights.${i}`} label={c.name} className="w-24" inputMode="decimal" />
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
              answers={typed.pairs}
              onAnswer={(pair, v) => setValue("pairs", { ...typed.pairs, [pair]: v }, { shouldDirty: true })}
              result={compared(typed)}
            />
          ),
        },
      ]}
    />
  );
}

/** Weights by hand, or from comparing criteria two by two; the contradiction among the answers is said. */
export const WeightsForm = ({
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
}) => (
  <ActionForm
    schema={selectionWeights}
    action={weighSelectionAction}
    fixed={{ id, version }}
    defaults={{
      weights: criteria.map((c) => String(Number(c.weight.toFixed(3)))),
      pairs,
      how: Object.keys(pairs).length ? "pairs" : "hand",
      reason: "",
    }}
    shape={(typed) => shape(typed as Typed)}
    submit="Use these weights"
    look="plain"
    saved="Kept."
  >
    <Weights criteria={criteria} />
    {scored && <TextField name="reason" label="Why they change, now that sheets are in" className="max-w-md" />}
  </ActionForm>
);
