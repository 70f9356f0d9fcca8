"use client";

import { Printer, X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { Working } from "@/core/working/working";
import { tip } from "./tip";

/**
 * The drawer that shows a working: rule, arithmetic, uncertainty, sources, warnings. Loaded when a figure is first
 * opened.
 */
export default function WorkingDrawer({ working, onClose }: { working: Working | null; onClose: () => void }) {
  return (
    <Dialog.Root open={working !== null} onOpenChange={(now) => !now && onClose()} modal={false}>
      <Dialog.Portal>{working && <Drawer working={working} />}</Dialog.Portal>
    </Dialog.Root>
  );
}

function Drawer({ working: w }: { working: Working }) {
  return (
    <Dialog.Content
      data-working-open=""
      aria-describedby={undefined}
      onInteractOutside={(e) => {
        if ((e.target as HTMLElement).closest?.("[data-figure]")) e.preventDefault();
      }}
      className={
        "fixed inset-y-0 right-0 z-50 flex w-[min(340px,100vw)] flex-col gap-4 overflow-y-auto border-l " +
        "border-line bg-sheet px-5 py-5 shadow-[-8px_0_18px_-14px_rgb(35_31_27/0.5)]"
      }
    >
      <div className="flex items-start justify-between gap-3">
        <Dialog.Title className="text-[15px] font-[650]">Working: {w.title}</Dialog.Title>
        <div className="no-print flex items-center gap-2 text-soft">
          <button
            type="button"
            onClick={() => window.print()}
            className="flex items-center gap-1 text-sm hover:text-ink"
          >
            <Printer size={14} aria-hidden />
            print
          </button>
          <Dialog.Close aria-label="Close the working" className="hover:text-ink">
            <X size={16} aria-hidden />
          </Dialog.Close>
        </div>
      </div>
      <p className="text-[30px] leading-none font-[650]">
        {w.result}
        {(w.unit || w.plusMinus) && (
          <span className="unit text-[15px]">
            {w.plusMinus ? `± ${w.plusMinus} ` : ""}
            {w.unit}
          </span>
        )}
      </p>
      <section>
        <h3 className="mb-1 text-ink">Rule</h3>
        <p>{w.rule}</p>
      </section>
      {w.steps.length > 0 && (
        <section className="rounded-md bg-ground px-3 py-2.5">
          <h3 className="sr-only">Arithmetic</h3>
          {w.steps.map((s, i) => (
            <p key={i} className="py-0.5 wrap-break-word">
              {s}
            </p>
          ))}
        </section>
      )}
      {w.contributions && w.contributions.length > 0 && (
        <section>
          <h3 className="mb-1 text-ink">Where the ± comes from</h3>
          {w.contributions.map((c) => (
            <div key={c.label} className="grid grid-cols-[110px_1fr] items-center gap-2 py-0.5 text-sm">
              <span className="truncate text-soft" {...tip(c.label)}>
                {c.label}
              </span>
              <span className="flex items-center gap-2">
                <span className="h-2.5 bg-stone-3" style={{ width: `${Math.max(2, c.share * 90)}px` }} />
                <span className="text-soft">{Math.round(c.share * 100)} %</span>
              </span>
            </div>
          ))}
        </section>
      )}
      {w.inputs.length > 0 && (
        <section>
          <h3 className="mb-1 text-ink">Numbers put in</h3>
          <dl className="text-sm">
            {w.inputs.map((x, i) => (
              <div key={i} className="border-b border-line py-1 last:border-0">
                <div className="flex justify-between gap-3">
                  <dt className="text-soft">{x.label}</dt>
                  <dd className="text-right">
                    {x.value}
                    {x.unit && <span className="unit">{x.unit}</span>}
                  </dd>
                </div>
                {(x.by || x.note) && (
                  <p className="text-xs text-soft">
                    {[x.note, x.by && `entered by ${x.by}${x.at ? `, ${x.at.slice(0, 16).replace("T", " ")}` : ""}`]
                      .filter(Boolean)
                      .join(" · ")}
                  </p>
                )}
              </div>
            ))}
          </dl>
        </section>
      )}
      {w.warnings.length > 0 && (
        <section className="rounded-md bg-ochre-wash px-3 py-2 text-sm">
          <h3 className="mb-0.5 text-ochre-deep">Note</h3>
          {w.warnings.map((x, i) => (
            <p key={i}>{x}</p>
          ))}
        </section>
      )}
      {w.basis && w.basis.length > 0 && (
        <footer className="mt-auto text-xs text-soft">
          {w.basis.map((b, i) => (
            <p key={i}>{b}</p>
          ))}
        </footer>
      )}
    </Dialog.Content>
  );
}
