import type { BoardFace, BoardState } from "./board-face";

type Listed = Extract<BoardFace, { rows: unknown }>;
type Row = Listed["rows"][number];

/**
 * What has changed on a board: everything but its rows, and each row as it is now or, where it has not changed, by its
 * place before. A score changes a row or two of thirty; five hundred screens hear of each.
 */
export interface BoardChange {
  readonly state: BoardState;
  readonly rows: readonly (number | Row)[];
}

const listed = (face: BoardFace): Listed | null => (face.kind === "attempts" || face.kind === "table" ? face : null);

/** What has changed from one state to the next; null where the board shows something else, and is sent whole. */
export function boardChange(before: BoardState | null, after: BoardState): BoardChange | null {
  const [was, is] = [before && listed(before.face), listed(after.face)];
  if (!was || !is || was.kind !== is.kind) return null;
  const known = new Map(was.rows.map((r, i) => [JSON.stringify(r), i]));
  return {
    state: { ...after, face: { ...is, rows: [] } },
    rows: is.rows.map((r) => known.get(JSON.stringify(r)) ?? r),
  };
}

/** The state that a change makes of the one before; null where it does not belong to it. */
export function withChange(before: BoardState, { state, rows }: BoardChange): BoardState | null {
  const [was, is] = [listed(before.face), listed(state.face)];
  const now = rows.map((r) => (typeof r === "number" ? was?.rows[r] : r));
  if (!is || now.includes(undefined)) return null;
  return { ...state, face: { ...is, rows: now } as BoardFace };
}
