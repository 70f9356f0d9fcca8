import type { PieceStep } from "@/core/vocabulary/builds";
import type { Piece } from "../queries/pieces";
import { madeOf, madeWords, piecesOfParts, piecesView, stepsOf } from "./pieces";

const piece = (name: string, steps: readonly PieceStep[], more: object = {}): Piece =>
  ({
    id: name,
    buildId: "b",
    name,
    makerId: "ana",
    maker: "Ana",
    oneChance: false,
    material: "",
    machine: "",
    settings: {},
    chain: "",
    nominal: null,
    tolerance: null,
    measured: null,
    entered: {},
    version: 1,
    partId: null,
    steps: steps.map((step) => ({ step, person: "ana", by: "Ana", at: "2027-03-01T10:00:00Z" })),
    ...more,
  }) as unknown as Piece;

test("trial and release are asked of what is cut once, and shown where they were ticked", () => {
  expect(stepsOf(piece("Side", []))).toEqual(["drawn", "checked", "cut", "fitted"]);
  expect(stepsOf(piece("Side", ["trial"]))).toEqual(["drawn", "checked", "trial", "cut", "fitted"]);
  expect(stepsOf(piece("Pane", [], { oneChance: true }))).toHaveLength(6);
});

test("a length is shown as it was typed while that still means it; outside its tolerance it is pointed at", () => {
  const length = { nominal: "0.3048", tolerance: "0.0005", measured: "0.3056", entered: { nominal: "1 ft" } };
  const [row] = piecesView([piece("Side", [], { ...length, settings: { power: "60 %" } })], "mm").rows;
  expect(row!.typed).toEqual({ nominal: "1 ft", tolerance: "0.5 mm", measured: "305.6 mm", settings: "power = 60 %" });
  expect([row!.length, row!.offShown, row!.outside]).toEqual(["304.80", "+0.80", true]);
  expect(piecesView([piece("Side", [])], "mm").rows[0]).toMatchObject({ length: null, off: null, outside: false });
});

test("a chain says what to correct, or that there is nothing", () => {
  const chain = (measured: (string | null)[]) =>
    piecesView(
      measured.map((m, i) =>
        piece(`P${i + 1}`, [], { chain: "length", nominal: "0.1", tolerance: "0.0003", measured: m }),
      ),
      "mm",
    ).chains[0]!;
  expect(chain(["0.1012", "0.1"])).toMatchObject({ deviation: "+1.20", says: "Take 1.20 mm off P1." });
  expect(chain(["0.0990", "0.1"]).says).toBe("P1 is 1.00 mm too short: a shim, or a new piece.");
  expect(chain(["0.1002", "0.1"]).says).toContain("nothing to correct");
  expect(chain([null, null]).says).toBe("Nothing is measured yet.");
});

test("how far the pieces are, in words", () => {
  expect(madeWords([])).toContain("None listed");
  expect(
    madeWords([
      piece("Side", ["drawn", "cut"]),
      piece("Pane", ["drawn"], { oneChance: true, makerId: null }),
      piece("Base", ["drawn", "checked", "cut", "fitted"]),
    ]),
  ).toBe("3 pieces: 3 drawn, 1 checked, 2 cut, 1 fitted. Nobody makes Pane. Not to be cut yet: Pane.");
});

test("what a parts list says is made: as many as its count, numbered; nothing twice, nothing that is bought", () => {
  const line = (id: string, name: string, count: number, source: string) => ({ id, name, count, source }) as never;
  const parts = [line("r", "Rail", 2, "made"), line("l", "Lid", 1, "made"), line("s", "Screw", 12, "bought")];
  const rails = [
    { name: "Rail 1", partId: "r" },
    { name: "Rail 2", partId: "r" },
  ];
  expect(piecesOfParts(parts, [])).toEqual([...rails, { name: "Lid", partId: "l" }]);
  expect(piecesOfParts(parts, [piece("LID", [])])).toEqual(rails);
  const pieces = [piece("Rail 1", ["cut"], { partId: "r" }), piece("Rail 2", [], { partId: "r" }), piece("Peg", [])];
  expect(piecesOfParts(parts, pieces)).toEqual([{ name: "Lid", partId: "l" }]);
  expect([...madeOf(pieces)]).toEqual([["r", { of: 2, cut: 1 }]]);
  expect(piecesOfParts([line("n", "Nail", 400, "made")], [])).toHaveLength(24);
});
