import type { Slot } from "@/core/contest/bracket";
import type { Match } from "@/core/contest/play";
import { clockOf } from "@/core/contest/programme";

/** Which part of an event a match is, in words. */
export function slotWords(slot: Pick<Slot, "side" | "round" | "key">): string {
  switch (slot.side) {
    case "final":
      return slot.key === "F2" ? "the second final" : "the final";
    case "third":
      return "the match for the third place";
    case "second":
      return `second chance, round ${slot.round}`;
    case "main":
    case "table":
      return `round ${slot.round}`;
  }
}

/** A match with those who met in it, in words: “Alder against Gully, round 2”. */
export const matchWords = (
  match: { readonly slot: Match["slot"]; readonly a: Match["a"]; readonly b: Match["b"] },
  name: (id: string) => string,
): string =>
  `${[match.a, match.b].map((id) => (id ? name(id) : "nobody")).join(" against ")}, ${slotWords(match.slot)}`;

/** A place as it is written: a shared one between two stands as a half. */
export const placeWords = (place: number | null) =>
  place === null ? "–" : Number.isInteger(place) ? String(place) : `${Math.floor(place)}½`;

/** What is on record of a contest's day, in words. */
export const recordedWords = (of: readonly { readonly what: string; readonly n: number }[]): string =>
  of.map((x) => `${x.n} ${x.what}`).join(", ");

/** The time of the day of an instant, in minutes after midnight. */
export const minutesAt = (at: string): number => {
  const d = new Date(at);
  return d.getHours() * 60 + d.getMinutes();
};

/** The same as a clock shows it. */
export const clockAt = (at: string): string => clockOf(minutesAt(at));
