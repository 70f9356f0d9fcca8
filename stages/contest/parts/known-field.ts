"use client";

import { useEffect, useState } from "react";
import { keep, keptObject } from "@/ui/kept";
import type { FieldRow } from "../view/field";

type Known = Pick<FieldRow, "live" | "last">;

/**
 * How many attempts of an entry stand, as far as this browser has ever heard: a page that was kept for use without a
 * network may be older than what it was told since. Numbers of records only grow, so the higher one is the newer.
 * @param heard what the server has answered on this page since it was made
 */
export function useKnown(row: Known & { readonly id: string }, heard: Known): Known {
  const key = `ironstone.field.${row.id}`;
  const [before, setBefore] = useState<Known>({ live: 0, last: 0 });
  const here = heard.last > row.last ? heard : row;
  useEffect(() => {
    const kept = keptObject<Known>(key);
    if (kept && Number(kept.last) > here.last) setBefore(kept);
    else keep(key, JSON.stringify({ live: here.live, last: here.last }));
  }, [key, here.live, here.last]);
  return before.last > here.last ? before : here;
}
