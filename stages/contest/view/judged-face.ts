import { judgeMethod } from "@/core/vocabulary/contest";
import type { JudgedEvent } from "../queries/judged";
import type { Drawn } from "./board-face";
import { placeWords } from "./words";

/** Who is before the judges next: those whom fewest have marked, in order of presentation. */
export function toJudge(event: Pick<JudgedEvent, "entries" | "sheets">): string[] {
  const judges = new Set(event.sheets.filter((s) => s.state !== "aside").map((s) => s.judgeId)).size;
  const done = (id: string) => event.sheets.filter((s) => s.entryId === id && s.state !== "aside").length;
  return event.entries
    .filter((n) => judges === 0 || done(n.id) < judges)
    .sort((a, b) => done(a.id) - done(b.id) || (a.seed ?? 999) - (b.seed ?? 999))
    .map((n) => n.team);
}

/** A judged event on a board. */
export function judgedFace(event: JudgedEvent): Drawn {
  const next = event.state === "confirmed" ? [] : toJudge(event);
  const final = event.state === "confirmed";
  return {
    says: [
      { text: `${event.name} · ${final ? "final result" : "the judges are at work"}` },
      ...(next[0] ? [{ text: " · next: " }, { text: next[0], strong: true as const }] : []),
    ],
    seed: event.orderSeed ? `order drawn with seed ${event.orderSeed}` : "",
    foot: `Marks of 100: ${judgeMethod.labels[event.rules.method].split(":")[0]!}.`,
    // Marks are shown when they are final: nobody plays to the judges who are still to come.
    face: final
      ? {
          kind: "table",
          heads: ["Place", "Team", "Sheets", "Mark"],
          rows: event.standings.map((s) => ({
            id: s.id,
            on: s.place === 1,
            cells: [placeWords(s.place), s.name, String(s.sheets), s.shown],
          })),
        }
      : {
          kind: "table",
          heads: ["", "Team", "Sheets in"],
          rows: event.entries.map((n) => ({
            id: n.id,
            on: n.team === next[0],
            cells: [
              n.seed === null ? "" : String(n.seed),
              n.team,
              String(event.sheets.filter((s) => s.entryId === n.id && s.state === "marked").length),
            ],
          })),
        },
  };
}
