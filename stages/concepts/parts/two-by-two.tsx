import type { PairwiseResult } from "@/core/concepts/matrix";
import { Select } from "@/ui/select";

const scale = [9, 7, 5, 3, 1, 1 / 3, 1 / 5, 1 / 7, 1 / 9];

const say = (v: number, a: string, b: string) =>
  v === 1 ? "both weigh the same" : v > 1 ? `${a}, ${v} times` : `${b}, ${Math.round(1 / v)} times`;

/** Every two criteria compared, and the weights that come of it; a contradiction among the answers is said. */
export function TwoByTwo({
  criteria,
  answers,
  onAnswer,
  result,
}: {
  criteria: { key: string; name: string }[];
  /** By the two criteria's places, "0/1". */
  answers: Record<string, number>;
  onAnswer: (pair: string, value: number) => void;
  result: PairwiseResult | null;
}) {
  const worst = result?.worst?.map((i) => criteria[i]!.name).join(", ");
  return (
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
                <Select
                  value={String(answers[key] ?? 1)}
                  onChange={(v) => onAnswer(key, Number(v))}
                  options={scale.map((v) => ({ value: String(v), label: say(v, a.name, b.name) }))}
                />
              </label>
            );
          }),
        )}
      </div>
      {result && (
        <p className="mt-1 text-sm">
          {criteria.map((c, i) => `${c.name} ${result.weights[i]!.toFixed(3)}`).join(" · ")}{" "}
          <span className={result.ratio > 0.1 ? "text-iron" : "text-soft"}>
            consistency ratio {result.ratio.toFixed(3)}
            {result.ratio > 0.1 && `: above 0.1, the answers contradict each other${worst ? `, most: ${worst}` : ""}`}
          </span>
        </p>
      )}
    </>
  );
}
