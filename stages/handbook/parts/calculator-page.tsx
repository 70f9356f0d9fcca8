"use client";

import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import type { Calculator } from "@/core/handbook/calculator";
import { fieldsOfCalculator, outcomeOf, plotOf } from "@/core/handbook/outcome";
import { handbookSubject } from "@/core/vocabulary/handbook";
import type { UnitSystem } from "@/core/vocabulary/project";
import { buttonClass, Caution, PageHead, Sheet } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { changedInputs, handbookHref } from "../view/handbook";
import { Fields } from "./fields";
import { Formula } from "./formula";
import { KeepForm, type Keeping } from "./keep-form";
import { Results } from "./results";
import { ShapeFiles } from "./shape-files";
import { ShapePicture } from "./shape-picture";
import { TurnLink } from "./turn-link";

/** Fetches what is not there at first: by this one call, so that what is kept is what is asked for. */
export const loadPlot = () => import("./plot");
const Plot = dynamic(loadPlot, { ssr: false, loading: () => <div className="h-[260px]" /> });

/** A calculator: what is typed on the left, what it comes to on the right, what it holds for below. */
export function CalculatorPage({
  calculator: c,
  base,
  units,
  said,
  typed: asked,
  target,
  use,
  keeping,
}: {
  calculator: Calculator;
  base: string;
  units: UnitSystem;
  /** The units, where the address says them. */
  said?: UnitSystem;
  typed: Readonly<Record<string, string>>;
  /** What a calculation is meant for, as kind and id. */
  target: string;
  /** The kept calculation that is open, or nothing. */
  use: string;
  keeping?: Keeping;
}) {
  const opened = keeping?.use?.id === use ? keeping.use : null;
  // A calculation that was kept in other units is opened in those.
  const system = opened?.units ?? units;
  const fields = fieldsOfCalculator(c, system);
  const first = Object.fromEntries(fields.map((f) => [f.symbol, f.value]));
  const [typed, setTyped] = useState<Record<string, string>>({ ...first, ...opened?.inputs, ...asked });
  const [other, setOther] = useState<Record<string, string> | null>(null);
  const outcome = outcomeOf(c, typed, system);
  const second = other && outcomeOf(c, other, system);
  const href = handbookHref(base, c.id, { inputs: changedInputs(fields, typed), use, for: target, units: said });
  const written = useRef(href);
  useEffect(() => {
    if (written.current === href) return;
    written.current = href;
    const say = () => window.history.replaceState(null, "", href);
    let later: ReturnType<typeof setTimeout> | undefined;
    // At once, so that a page that is loaded again has the last key too; some browsers take only so many a minute.
    try {
      say();
    } catch {
      later = setTimeout(say, 1500);
    }
    return () => clearTimeout(later);
  }, [href]);
  const plot = plotOf(c, typed, system);
  const steps = c.kind === "formulas" ? c.steps : [];
  return (
    <>
      <PageHead
        title={c.name}
        note={
          <>
            <TurnLink href={handbookHref(base, "", { for: target, units: said })} className="underline">
              Handbook
            </TurnLink>
            , {handbookSubject.labels[c.subject]} · {c.use}
          </>
        }
      >
        <PrintButton />
      </PageHead>
      {c.caution && (
        <div className="mb-4 max-w-[860px]">
          <Caution>{c.caution}</Caution>
        </div>
      )}
      <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(320px,5fr)_minmax(0,7fr)]">
        <div className="contents min-w-0 gap-5 lg:grid">
          <Sheet title="Put in">
            <Fields
              fields={fields}
              typed={typed}
              wrong={outcome.ok ? [] : outcome.wrong}
              onType={(symbol, text) => setTyped((now) => ({ ...now, [symbol]: text }))}
              second={
                other && {
                  typed: other,
                  wrong: second?.ok === false ? second.wrong : [],
                  onType: (symbol, text) => setOther((now) => ({ ...now!, [symbol]: text })),
                }
              }
            />
            <p className="mt-2 text-sm text-soft">
              {c.kind === "formulas"
                ? "Any unit may stand behind a number, and its ± (95 %) behind that: 2.0 ± 0.1 kg."
                : "Any unit may stand behind a number."}
            </p>
            <div className="no-print mt-2 flex flex-wrap gap-3">
              <button type="button" className={buttonClass("quiet")} onClick={() => setOther(other ? null : typed)}>
                {other ? "one setting only" : "compare two settings"}
              </button>
              <button type="button" className={buttonClass("quiet")} onClick={() => setTyped(first)}>
                start over
              </button>
            </div>
          </Sheet>
          <section className="order-2 lg:order-none">
            <h2>Formula</h2>
            {steps.map((s) => (
              <p key={s.symbol} className="text-[15px]">
                <Formula of={`${s.symbol} = ${s.is}`} /> <span className="text-sm text-soft">{s.name}</span>
              </p>
            ))}
            {c.kind === "truss" && <p>At every joint the forces to the right and the forces up come to zero.</p>}
            {c.kind === "outline" && (
              <p>Twice the area is the sum of x × next y − next x × y over all sides (shoelace formula).</p>
            )}
            <p className="mt-1 text-sm text-soft">{c.source}</p>
          </section>
        </div>
        <div className="contents min-w-0 gap-5 lg:grid">
          <Results outcome={outcome} second={second} />
          {c.kind !== "formulas" && <ShapePicture calculator={c} typed={typed} units={system} />}
          {c.kind === "outline" && outcome.ok && <ShapeFiles typed={typed} units={system} />}
          {plot && c.kind === "formulas" && c.plot && (
            <Plot calculator={c} points={plot} now={outcome.ok ? outcome : null} typed={typed} units={system} />
          )}
          <section className="order-2 lg:order-none">
            <h2>It holds for</h2>
            <p>{c.valid}</p>
            <h2 className="mt-3">Usual mistakes</h2>
            <ul className="list-disc pl-5">
              {c.mistakes.map((m) => (
                <li key={m}>{m}</li>
              ))}
            </ul>
          </section>
        </div>
      </div>
      {keeping && (
        <KeepForm
          keeping={keeping}
          opened={opened}
          calculator={c.id}
          units={system}
          inputs={typed}
          target={target}
          ready={outcome.ok}
          base={base}
        />
      )}
    </>
  );
}
