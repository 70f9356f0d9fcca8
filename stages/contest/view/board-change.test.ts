import fc from "fast-check";
import { boardChange, withChange } from "./board-change";
import type { BoardFace, BoardState } from "./board-face";

type Row = Extract<BoardFace, { kind: "table" }>["rows"][number];
const row = (id: string, ...cells: string[]): Row => ({ id, on: false, cells });
const state = (face: BoardFace, more: Partial<BoardState> = {}): BoardState => ({
  title: "Terrace Pump contest",
  light: false,
  says: [{ text: "Timed lift" }],
  seed: "",
  foot: "",
  halt: "",
  call: "",
  face,
  ...more,
});
const table = (...rows: Row[]) => state({ kind: "table", heads: ["Place", "Team"], rows });

test("a score sends the rows that it changed, the others by their place before", () => {
  const before = table(row("a", "1", "Alder"), row("g", "2", "Gully"), row("w", "3", "Weir"));
  const after = table(row("w", "1", "Weir"), row("a", "2", "Alder"), row("g", "2", "Gully"));
  const change = boardChange(before, after)!;
  expect(change.rows).toEqual([row("w", "1", "Weir"), row("a", "2", "Alder"), 1]);
  expect(withChange(before, change)).toEqual(after);
});

test("whatever changes, a screen that is told of the change shows what one shows that was told all", () => {
  const rows = fc.uniqueArray(fc.record({ id: fc.constantFrom("a", "g", "w", "r"), on: fc.boolean() }), {
    selector: (r) => r.id,
  });
  const states = fc
    .record({ rows, halt: fc.constantFrom<string>("", "A hose burst"), shown: fc.constantFrom("8.6", "8.9") })
    .map(({ rows: of, halt, shown }) => ({ ...table(...of.map((r) => ({ ...r, cells: [r.id, shown] }))), halt }));
  fc.assert(
    fc.property(fc.array(states, { minLength: 2, maxLength: 8 }), ([first, ...next]) => {
      let shown = first!;
      let sent = first!;
      for (const s of next) {
        // Over the line and back, as the stream sends it.
        shown = withChange(shown, JSON.parse(JSON.stringify(boardChange(sent, s))))!;
        sent = s;
        expect(shown).toEqual(s);
      }
    }),
  );
});

test("another face is sent whole, and so is the first", () => {
  const pause = state({ kind: "pause", words: "At 14:10" });
  expect([boardChange(null, table()), boardChange(pause, table()), boardChange(table(), pause)]).toEqual([
    null,
    null,
    null,
  ]);
});

test("a change that does not belong to what is shown is not drawn", () => {
  const before = table(row("a", "1", "Alder"));
  expect(withChange(before, { state: table(), rows: [3] })).toBeNull();
  expect(withChange(state({ kind: "empty" }), { state: table(), rows: [0] })).toBeNull();
});
