/** A cell of the grid by its row and column. */
export interface At {
  readonly r: number;
  readonly c: number;
}

/** How many rows and columns are typed into. */
export interface Size {
  readonly rows: number;
  readonly columns: number;
}

const kept = (n: number, size: number) => Math.max(0, Math.min(size - 1, n));
const page = 10;

/** Where a key leads in the grid; null for a key that leads nowhere. */
export function movedBy(key: string, { shift = false, ctrl = false }, at: At, size: Size): At | null {
  const to = (r: number, c: number): At => ({ r: kept(r, size.rows), c: kept(c, size.columns) });
  switch (key) {
    case "ArrowUp":
      return to(ctrl ? 0 : at.r - 1, at.c);
    case "ArrowDown":
      return to(ctrl ? size.rows : at.r + 1, at.c);
    case "ArrowLeft":
      return to(at.r, ctrl ? 0 : at.c - 1);
    case "ArrowRight":
      return to(at.r, ctrl ? size.columns : at.c + 1);
    case "PageUp":
      return to(at.r - page, at.c);
    case "PageDown":
      return to(at.r + page, at.c);
    case "Home":
      return to(ctrl ? 0 : at.r, 0);
    case "End":
      return to(ctrl ? size.rows : at.r, size.columns);
    case "Enter":
      return to(at.r + (shift ? -1 : 1), at.c);
    default:
      return null;
  }
}

/** The cells from one to another, corners included: first and last row and column. */
export const between = (a: At, b: At) => ({
  top: Math.min(a.r, b.r),
  bottom: Math.max(a.r, b.r),
  left: Math.min(a.c, b.c),
  right: Math.max(a.c, b.c),
});
export type Range = ReturnType<typeof between>;

/** Whether a cell lies in a range. */
export const isIn = (x: Range, r: number, c: number) => r >= x.top && r <= x.bottom && c >= x.left && c <= x.right;

/** The cells of a range, row by row. */
export const cellsIn = (x: Range): At[] =>
  Array.from({ length: x.bottom - x.top + 1 }, (_, i) =>
    Array.from({ length: x.right - x.left + 1 }, (_, k) => ({ r: x.top + i, c: x.left + k })),
  ).flat();

/** A cell with what is to stand in it. */
export interface Filled extends At {
  readonly typed: string;
}

/**
 * What is pasted at a range, as far as the grid reaches: one cell fills all of a range, a table begins at its corner.
 * @param table rows of cells, as a spreadsheet copies them
 */
export function pasted(table: readonly (readonly string[])[], range: Range, size: Size): Filled[] {
  const [first] = table;
  if (table.length === 1 && first?.length === 1) return cellsIn(range).map((at) => ({ ...at, typed: first[0]! }));
  return table.flatMap((row, i) =>
    row.flatMap((typed, k) => {
      const at = { r: range.top + i, c: range.left + k };
      return at.r < size.rows && at.c < size.columns ? [{ ...at, typed }] : [];
    }),
  );
}

/** The first row of a range in all of its rows below; of one row what stands above it. */
export function filledDown(range: Range, typedAt: (r: number, c: number) => string): Filled[] {
  const from = range.top === range.bottom ? range.top - 1 : range.top;
  if (from < 0) return [];
  return cellsIn({ ...range, top: from + 1 }).map((at) => ({ ...at, typed: typedAt(from, at.c) }));
}
