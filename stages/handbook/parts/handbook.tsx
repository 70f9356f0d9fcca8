"use client";

import { useSearchParams } from "next/navigation";
import { calculatorOf } from "@/core/handbook/calculators";
import { type UnitSystem, unitSystem } from "@/core/vocabulary/project";
import { OfflinePage } from "@/ui/offline-page";
import { useReady } from "@/ui/ready";
import { inputsAt } from "../view/handbook";
import { CalculatorPage, loadPlot } from "./calculator-page";
import { HandbookIndex } from "./handbook-index";
import type { Keeping } from "./keep-form";

/** The handbook: its list of calculators, or the one that the address names, with what was typed into it. */
export function Handbook({ base, units: given, keeping }: { base: string; units: UnitSystem; keeping?: Keeping }) {
  const asked = new URLSearchParams(useSearchParams());
  const ready = useReady();
  // The page that a browser keeps is made without a calculator: the address is read once the page is alive.
  const query = keeping || ready ? asked : new URLSearchParams();
  // Beside a project the address says which units: the page that is kept in a browser is one for both.
  const said = keeping ? undefined : unitSystem.values.find((u) => u === query.get("units"));
  const units = said ?? given;
  const c = calculatorOf(query.get("c") ?? "");
  return (
    <>
      {c ? (
        <CalculatorPage
          key={`${c.id} ${units} ${query.get("use") ?? ""}`}
          calculator={c}
          base={base}
          units={units}
          said={said}
          typed={inputsAt(query)}
          target={query.get("for") ?? ""}
          use={query.get("use") ?? ""}
          keeping={keeping}
        />
      ) : (
        <HandbookIndex base={base} target={query.get("for") ?? ""} units={said} choose={keeping ? null : units} />
      )}
      <OfflinePage
        scope="/handbook"
        pages={["/handbook"]}
        load={loadPlot}
        kept={
          <>
            The calculators open without a network at <a href={`/handbook?units=${units}`}>/handbook</a>, in this
            browser.
          </>
        }
        cannot={
          "This browser cannot keep the handbook for use without a network (it takes https). While the page stands, " +
          "it computes without one."
        }
      />
    </>
  );
}
