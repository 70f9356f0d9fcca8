import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import type { ToBeat } from "../view/to-beat";

/** What there is to beat, and with which settings the best of the class was made. */
export const ToBeatBox = ({
  slug,
  view,
  unit,
  settings,
}: {
  slug: string;
  view: ToBeat;
  unit: string;
  /** Of the best run: what was kept at what, and its build's design variables. */
  settings: readonly { name: string; value: string }[];
}) => {
  if (!view.marks.length && !view.theory) return null;
  return (
    <section aria-label="To beat" className="my-3">
      <h2 className="mb-1 text-[14px]">To beat</h2>
      <ul className="grid gap-0.5 text-sm sm:grid-cols-2">
        {view.marks.map((m) => (
          <li key={m.label} className="flex flex-wrap gap-x-3">
            <span className="text-soft">
              {m.build ? (
                <Link href={`/p/${slug}/builds/${m.build}`} className="hover:text-ink">
                  {m.label}
                </Link>
              ) : (
                m.label
              )}
            </span>
            <span className="font-[600] tabular-nums">
              {m.shown}
              {unit !== "1" && <span className="unit">{unit}</span>}
            </span>
            {m.stands && <span>{m.stands}</span>}
          </li>
        ))}
      </ul>
      {view.theory && (
        <p className="mt-1 text-sm text-soft">
          Theory ({view.theory.name}): {view.theory.shown}
          {view.theory.share && `; ${view.theory.share} % of it was measured`}
        </p>
      )}
      {view.steps.length > 1 && <p className="mt-1 text-sm text-soft">By generation: {view.steps.join(" → ")}</p>}
      {settings.length > 0 && view.best && (
        <Fold
          label={`Settings of the best run (${view.best.build.team} G${view.best.build.number})`}
          className="mt-1 text-sm"
          labelClass="text-soft"
        >
          <dl className="mt-1 flex flex-wrap gap-x-5 gap-y-0.5">
            {settings.map((s) => (
              <div key={s.name} className="flex gap-1.5">
                <dt className="text-soft">{s.name}</dt>
                <dd>{s.value}</dd>
              </div>
            ))}
          </dl>
        </Fold>
      )}
    </section>
  );
};
