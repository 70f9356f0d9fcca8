import { formatNumber } from "@/core/quantity/quantity";
import type { Measure } from "@/core/run/protocol";
import { unitAfter } from "@/core/run/reading";
import { takenSi } from "@/core/series/measure";
import type { Live } from "../capture/engine";
import { ruleWords, silentWords, takenWords, timeScale } from "../view/series";
import { LazySeriesChart } from "./lazy-charts";

/** What an instrument gives while it is listened to: each reading's curve, and what its rule would take now. */
export function LiveReadings({ live, measures }: { live: Live; measures: readonly Measure[] }) {
  return (
    <div className="grid gap-4">
      {measures.map((m) => {
        const r = live.readings.find((x) => x.key === m.key);
        const take = m.take!;
        if (!r) return null;
        const words = r.taken ? takenWords(m, takenSi(take, r.taken.value)) : "";
        return (
          <section key={m.key} aria-label={m.name} className="sheet px-4 py-3">
            <div className="mb-1 flex flex-wrap items-baseline gap-x-5 gap-y-1">
              <h2>{m.name}</h2>
              <p>
                <span className="text-soft">{ruleWords(m)}, up to now:</span>{" "}
                <span className="text-[17px] font-[650] tabular-nums">{words || "nothing yet"}</span>{" "}
                <span className="text-sm text-soft">{!words && r.why}</span>
              </p>
              <p className="text-sm text-soft tabular-nums">
                {r.samples} samples
                {r.last !== null && `, the last ${unitAfter(formatNumber(r.last), take.unit)}`}
                {` · ${take.unit === "1" ? "" : `${take.unit} `}over ${timeScale(live.seconds).name}`}
              </p>
              {r.silent.length > 0 && <p className="text-sm text-ochre-deep">{silentWords(r.silent)}</p>}
            </div>
            {r.samples > 1 ? (
              <LazySeriesChart
                name={m.name}
                unit={take.unit}
                curve={r.curve}
                taken={r.taken && { from: r.taken.from, to: r.taken.to, words }}
                level={take.level ? Number(take.level) : null}
              />
            ) : (
              <p className="py-6 text-soft">Nothing came on this reading's channel yet.</p>
            )}
          </section>
        );
      })}
    </div>
  );
}
