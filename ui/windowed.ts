"use client";

import { useEffect, useRef, useState } from "react";

const usual = 150;

/**
 * The first rows of a long list, and more as `mark`, an element after the last one, comes near the reader's sight; all
 * of them when the page is printed. `more` is how many are left; `reach` lays out as many as it takes to show one.
 * @param step how many at first, and then again
 */
export function useWindowed<T>(
  all: readonly T[],
  step = usual,
): {
  shown: readonly T[];
  more: number;
  mark: (el: Element | null) => void;
  reach: (row: number) => void;
} {
  const [count, setCount] = useState(step);
  const watch = useRef<IntersectionObserver | null>(null);
  useEffect(() => {
    const print = () => setCount(Number.POSITIVE_INFINITY);
    window.addEventListener("beforeprint", print);
    return () => {
      window.removeEventListener("beforeprint", print);
      watch.current?.disconnect();
    };
  }, []);
  const mark = (el: Element | null) => {
    watch.current?.disconnect();
    if (!el) return;
    watch.current = new IntersectionObserver(
      (seen) => seen.some((s) => s.isIntersecting) && setCount((n) => n + step),
      { rootMargin: "600px" },
    );
    watch.current.observe(el);
  };
  const reach = (row: number) => setCount((n) => (row < n ? n : row + step));
  return { shown: all.slice(0, count), more: Math.max(0, all.length - count), mark, reach };
}
