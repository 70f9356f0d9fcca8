"use client";

import { useEffect, useRef, useState } from "react";
import { compareWatches, elapsed, fresh, split, toggled, type Watch, watchText } from "@/core/contest/stopwatch";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { tookTime } from "./taken-times";

/** The keys of each watch: start and stop, split, back to zero. */
const keys = [
  { name: "First watch", toggle: " ", toggleName: "Space", split: "s", zero: "x" },
  { name: "Second watch", toggle: "Enter", toggleName: "Enter", split: "d", zero: "c" },
] as const;

/** Hands differ by about this much, in seconds. */
const usual = "0.2";

/** Whether a key belongs to what has the focus: typing in a field, or Space and Enter on what they press. */
const ownKey = (e: KeyboardEvent) =>
  (e.target as HTMLElement).closest(
    `input, textarea, select, [contenteditable]${[" ", "Enter"].includes(e.key) ? ", button, a" : ""}`,
  ) !== null;

/** Two watches for two pairs of eyes, by keys or by presses: their splits, how far they are apart, and their mean. */
export function Stopwatch() {
  const ready = useReady();
  const [watches, setWatches] = useState<readonly [Watch, Watch]>([fresh, fresh]);
  const [now, setNow] = useState(0);
  const running = watches.some((w) => w.since !== null);
  const kept = useRef(watches);
  const box = useRef<HTMLDivElement>(null);
  const change = useRef((i: number, to: (w: Watch, at: number) => Watch) => {
    const at = performance.now();
    const before = kept.current;
    kept.current = before.map((w, k) => (k === i ? to(w, at) : w)) as [Watch, Watch];
    setNow(at);
    setWatches(kept.current);
    const stopped = kept.current[i]!;
    if (before[i]!.since === null || stopped.since !== null) return;
    tookTime(watchText(stopped.before), keys[i]!.name.toLowerCase());
    const other = kept.current[1 - i]!;
    if (other.since === null && other.before > 0)
      tookTime(compareWatches(stopped.before, other.before, usual).mean, "mean of two watches");
  }).current;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setNow(performance.now()), 31);
    return () => clearInterval(timer);
  }, [running]);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.repeat || e.ctrlKey || e.metaKey || e.altKey || ownKey(e)) return;
      // Folded away, it hears nothing.
      if (box.current?.closest("[data-state=closed]")) return;
      const act = (i: number, to: (w: Watch, at: number) => Watch) => {
        e.preventDefault();
        change(i, to);
      };
      for (const [i, k] of keys.entries()) {
        if (e.key === k.toggle) act(i, toggled);
        if (e.key.toLowerCase() === k.split) act(i, split);
        if (e.key.toLowerCase() === k.zero) act(i, () => fresh);
      }
    };
    document.addEventListener("keydown", press);
    return () => document.removeEventListener("keydown", press);
  }, [change]);
  const [a, b] = watches.map((w) => elapsed(w, now)) as [number, number];
  const both = !running && a > 0 && b > 0;
  const { difference, mean, apart } = compareWatches(a, b, usual);
  return (
    <div ref={box} className="grid gap-5">
      <div className="grid gap-5 sm:grid-cols-2">
        {keys.map((k, i) => {
          const watch = watches[i]!;
          return (
            <section key={k.name} aria-label={k.name} className="sheet p-4">
              <h2>
                {k.name}{" "}
                <span className="text-sm font-normal text-soft">
                  {k.toggleName} starts and stops, {k.split.toUpperCase()} splits, {k.zero.toUpperCase()} to zero
                </span>
              </h2>
              <p className="my-2 text-[56px] leading-none font-[650] tabular-nums">
                {watchText(elapsed(watch, now))} <span className="text-[22px] font-normal text-soft">s</span>
              </p>
              <div className="flex flex-wrap gap-2">
                <button
                  type="button"
                  disabled={!ready}
                  className={`${buttonClass("main")} min-h-13 min-w-28 text-[17px]`}
                  onClick={(e) => {
                    // After a press by hand the keys belong to both watches again.
                    if (e.detail > 0) e.currentTarget.blur();
                    change(i, toggled);
                  }}
                >
                  {watch.since === null ? "Start" : "Stop"}
                </button>
                <button
                  type="button"
                  disabled={!ready || watch.since === null}
                  className={`${buttonClass()} min-h-13`}
                  onClick={() => change(i, split)}
                >
                  Split
                </button>
                <button
                  type="button"
                  disabled={!ready || watch.since !== null}
                  className={`${buttonClass("quiet")} min-h-13`}
                  onClick={() => change(i, () => fresh)}
                >
                  To zero
                </button>
              </div>
              <ol aria-label={`Splits of the ${k.name.toLowerCase()}`} className="mt-2 tabular-nums">
                {watch.splits.map((s, n) => (
                  <li key={n}>
                    <span className="text-soft">{n + 1}.</span> {watchText(s)} s
                  </li>
                ))}
              </ol>
            </section>
          );
        })}
      </div>
      <p role="status" className={apart && both ? "text-ochre-deep" : "text-soft"}>
        {both
          ? `The watches are ${difference} s apart; their mean is ${mean} s. ` +
            (apart
              ? `Hands differ by about ${usual} s: ask whether both started and stopped at the same sign.`
              : "That is as close as hands are.")
          : "When both watches stand, their difference and their mean stand here."}
      </p>
    </div>
  );
}
