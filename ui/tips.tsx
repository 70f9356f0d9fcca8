"use client";

import { Tooltip } from "radix-ui";
import { useEffect, useState } from "react";

interface Shown {
  text: string;
  at: DOMRect;
}

const hintOf = (target: EventTarget | null): Shown | null => {
  const el = target instanceof Element ? target.closest<HTMLElement | SVGElement>("[data-tip]") : null;
  if (!el) return null;
  const told = document.getElementById(el.getAttribute("aria-describedby") ?? "") ?? el.querySelector(".sr-only");
  const text = el.dataset.tip || told?.textContent;
  return text ? { text, at: el.getBoundingClientRect() } : null;
};

/**
 * The hints of the whole page: one tooltip that goes to whichever element with `data-tip` is pointed at or focused,
 * instead of one for each of several hundred marks. An empty `data-tip` says that the text stands where
 * `aria-describedby` points, or inside the element for readers of the screen alone.
 */
export function Tips() {
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    let wait: ReturnType<typeof setTimeout> | undefined;
    let over: Element | null = null;
    const show = (found: Shown | null, after: number) => {
      clearTimeout(wait);
      if (!found) return setShown(null);
      wait = setTimeout(() => setShown(found), after);
    };
    const pointed = (e: PointerEvent) => {
      const el = e.target instanceof Element ? e.target.closest("[data-tip]") : null;
      if (el === over) return;
      over = el;
      show(hintOf(el), 350);
    };
    const focused = (e: FocusEvent) => {
      if (e.target instanceof Element && e.target.matches(":focus-visible")) show(hintOf(e.target), 0);
    };
    const away = () => show(null, 0);
    const key = (e: KeyboardEvent) => e.key === "Escape" && away();
    document.addEventListener("pointerover", pointed);
    document.addEventListener("focusin", focused);
    document.addEventListener("focusout", away);
    document.addEventListener("pointerdown", away);
    document.addEventListener("scroll", away, true);
    document.addEventListener("keydown", key);
    return () => {
      clearTimeout(wait);
      document.removeEventListener("pointerover", pointed);
      document.removeEventListener("focusin", focused);
      document.removeEventListener("focusout", away);
      document.removeEventListener("pointerdown", away);
      document.removeEventListener("scroll", away, true);
      document.removeEventListener("keydown", key);
    };
  }, []);
  if (!shown) return null;
  const { left, top, width, height } = shown.at;
  return (
    <Tooltip.Provider>
      <Tooltip.Root open>
        <Tooltip.Trigger asChild>
          <span aria-hidden className="pointer-events-none fixed" style={{ left, top, width, height }} />
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={5}
            collisionPadding={8}
            className={
              "pointer-events-none z-[70] max-w-[min(340px,90vw)] rounded-sm bg-ink px-2 py-1 text-[12.5px] " +
              "leading-[1.35] text-sheet"
            }
          >
            {shown.text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
