"use client";

import { useFormContext } from "react-hook-form";
import { DataTable } from "@/ui/table";
import { useTry } from "@/ui/try";
import type { Effect } from "../view/effect";
import { readTyped, type TypedScheme } from "../view/typed-scheme";
import { DotPlot } from "./dot-plot";

const signed = (by: string | null) => (by === null ? "–" : Number(by) > 0 ? `+${by}` : by.replace("-", "−"));

/** What the scheme that is being written would do to the class: nothing of it is saved. */
export function EffectPanel({ slug }: { slug: string }) {
  const { watch } = useFormContext<TypedScheme>();
  const { tried, busy } = useTry<Effect>("scheme", slug, readTyped(watch()));
  if (!tried) return <p className="text-soft">Looking what this does to the class…</p>;
  if ("wrong" in tried) return <p className="text-ochre-deep">{tried.wrong}</p>;
  const e = tried.answer;
  return (
    <div className="grid gap-3" aria-busy={busy} aria-live="polite">
      <p>
        {e.before.length === 0 ? (
          e.after.length ? (
            <>
              {e.after.length} of {e.students} students would have a grade.
            </>
          ) : (
            "Nobody would have a grade yet: nothing counts so far."
          )
        ) : e.moves.length === 0 ? (
          "No grade moves."
        ) : (
          <>
            <strong className="font-[650]">
              {e.moves.length} of {e.students} grades move
            </strong>
            , the mean from {e.mean.before} to {e.mean.after}.
          </>
        )}
      </p>
      {e.after.length > 0 && <DotPlot before={e.before} after={e.after} />}
      {e.moves.length > 0 && (
        <DataTable
          caption="Whose grade moves"
          columns={[
            { key: "name", text: "Student" },
            { key: "from", text: "Now", num: true },
            { key: "to", text: "Then", num: true },
            { key: "by", text: "By", num: true },
            ...(e.moves.some((m) => m.letters) ? [{ key: "letters", text: "Letter" }] : []),
          ]}
          rows={e.moves.map((m) => ({
            id: m.id,
            cells: {
              name: m.name,
              from: m.from === null ? null : Number(m.from),
              to: m.to === null ? null : Number(m.to),
              by: { value: Number(m.by ?? 0), show: signed(m.by) },
              letters: m.letters,
            },
          }))}
        />
      )}
      {e.fragile.length > 0 && (
        <section>
          <h3 className="mb-1 font-[650]">Within a rounding of a letter</h3>
          <ul>
            {e.fragile.map((f) => (
              <li key={`${f.id} ${f.letter}`} className="flex justify-between gap-3 border-b border-line py-0.5">
                <span>{f.name}</span>
                <span className="tabular-nums">
                  {Number(Number(f.exact).toFixed(3))}{" "}
                  <span className="text-soft">
                    against {f.from} for {f.letter}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {e.bands.length > 0 && (
        <section aria-labelledby="spread">
          <h3 id="spread" className="mb-1 font-[650]">
            How grades are spread
          </h3>
          <DataTable
            caption="How grades are spread"
            columns={[
              { key: "band", text: "Grade" },
              { key: "before", text: "Now", num: true },
              { key: "after", text: "Then", num: true },
            ]}
            rows={e.bands.map((b) => ({
              id: String(b.from),
              cells: {
                band: b.to === null ? "100 and above" : `${b.from} to below ${b.to}`,
                before: b.before,
                after: b.after,
              },
            }))}
          />
        </section>
      )}
    </div>
  );
}
