import type { FieldEvent } from "../queries/events";
import { upNext } from "./up-next";

/** So many entries stand open at once; in a larger field the others are a line each. */
const most = 10;
const nextOnes = 4;

/** Which entries stand open for scoring: of a small field all, which is said by nothing; of a large one who is next. */
export function openEntries(event: Pick<FieldEvent, "definition" | "entries">): string[] | undefined {
  if (event.entries.length <= most) return;
  const next = new Set(upNext(event).slice(0, nextOnes));
  return event.entries.filter((n) => next.has(n.team)).map((n) => n.id);
}
