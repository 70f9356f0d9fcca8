/** Where a board's stream is, for whoever may watch. */
export const boardUrl = (who: string, asked: { board?: string; event?: string }): string =>
  `/api/board?${who}${asked.board ? `&screen=${asked.board}` : ""}${asked.event ? `&event=${asked.event}` : ""}`;
