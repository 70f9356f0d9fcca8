"use client";

import type { ReactNode } from "react";
import { cx } from "@/ui/classes";
import { useDates } from "@/ui/dates";
import type { PlacedTeam, SlotBoard } from "../view/slots";

/** A team in its place. */
export const SlotTeamLines = ({ placed }: { placed: PlacedTeam }) => (
  <>
    <span className="block font-[650]">{placed.name}</span>
    <span className="block text-sm text-soft">{placed.reviewers.join(", ") || "no reviewer"}</span>
    {placed.wrong.map((w) => (
      <span key={w} className="block text-sm text-iron">
        {w}
      </span>
    ))}
  </>
);

/** Where a place is, as its key. */
export const placeKey = (day: string, from: number, room: number) => `${day} ${from} ${room}`;

/** A place of a plan, with the team that has it. */
export interface Place {
  readonly key: string;
  readonly day: string;
  readonly from: number;
  readonly room: number;
  readonly placed: PlacedTeam | null;
}

/** A plan: a line a time, a column a room. */
export function SlotTable({
  board,
  rooms,
  cell,
}: {
  board: SlotBoard;
  rooms: readonly string[];
  /** What stands in a place; the team's lines where nothing is said. */
  cell?: (place: Place) => ReactNode;
}) {
  const { longDate } = useDates();
  return (
    <div className="overflow-x-auto" role="region" tabIndex={0} aria-label="Slots">
      {board.days.map((d) => (
        <table key={d.day} className="table mb-4">
          <caption className="mb-1 text-left font-[650]">{longDate(d.day)}</caption>
          <thead>
            <tr>
              <th className="w-28">Time</th>
              {rooms.map((r) => (
                <th key={r}>{r}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {d.times.map((t) => (
              <tr key={t.from} className="align-top">
                <td className="text-soft">{t.text}</td>
                {t.rooms.map((placed, room) => (
                  <td key={rooms[room]} className={cx(!placed && "text-faint")}>
                    {cell
                      ? cell({ key: placeKey(d.day, t.from, room), day: d.day, from: t.from, room, placed })
                      : placed && <SlotTeamLines placed={placed} />}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      {board.without.length > 0 && <p className="text-iron">Without a place: {board.without.join(", ")}</p>}
    </div>
  );
}
