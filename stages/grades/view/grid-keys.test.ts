import fc from "fast-check";
import { between, cellsIn, filledDown, isIn, movedBy, pasted } from "./grid-keys";

const size = { rows: 20, columns: 4 };
const moved = (key: string, mod: object = {}, at = { r: 5, c: 1 }) => {
  const to = movedBy(key, mod, at, size);
  return to && [to.r, to.c];
};

test.each([
  ["ArrowUp", {}, [4, 1]],
  ["ArrowDown", {}, [6, 1]],
  ["ArrowLeft", {}, [5, 0]],
  ["ArrowRight", {}, [5, 2]],
  ["ArrowDown", { ctrl: true }, [19, 1]],
  ["ArrowUp", { ctrl: true }, [0, 1]],
  ["ArrowRight", { ctrl: true }, [5, 3]],
  ["ArrowLeft", { ctrl: true }, [5, 0]],
  ["PageDown", {}, [15, 1]],
  ["PageUp", {}, [0, 1]],
  ["Home", {}, [5, 0]],
  ["End", {}, [5, 3]],
  ["Home", { ctrl: true }, [0, 0]],
  ["End", { ctrl: true }, [19, 3]],
  ["Enter", {}, [6, 1]],
  ["Enter", { shift: true }, [4, 1]],
  ["a", {}, null],
])("%s with %o leads to %j", (key, mod, wanted) => {
  expect(moved(key, mod)).toEqual(wanted);
});

test("no key leads out of the grid", () => {
  const keys = ["ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight", "PageUp", "PageDown", "Home", "End", "Enter"];
  fc.assert(
    fc.property(
      fc.constantFrom(...keys),
      fc.boolean(),
      fc.boolean(),
      fc.nat(19),
      fc.nat(3),
      (key, ctrl, shift, r, c) => {
        const to = movedBy(key, { ctrl, shift }, { r, c }, size)!;
        expect(to.r >= 0 && to.r < 20 && to.c >= 0 && to.c < 4).toBe(true);
      },
    ),
  );
});

test("a range is the same from either corner, and holds the cells that are in it", () => {
  const range = between({ r: 3, c: 2 }, { r: 1, c: 1 });
  expect(range).toEqual(between({ r: 1, c: 1 }, { r: 3, c: 2 }));
  expect(cellsIn(range)).toHaveLength(6);
  expect(cellsIn(range).every(({ r, c }) => isIn(range, r, c))).toBe(true);
  expect([isIn(range, 0, 1), isIn(range, 1, 0), isIn(range, 4, 1), isIn(range, 1, 3)]).toEqual([
    false,
    false,
    false,
    false,
  ]);
});

describe("what is pasted", () => {
  const at = (r: number, c: number) => between({ r, c }, { r, c });
  const show = (cells: readonly { r: number; c: number; typed: string }[]) =>
    cells.map((x) => `${x.r} ${x.c} ${x.typed}`);
  test("a table begins at the corner and ends where the grid does", () => {
    const table = [
      ["a", "b"],
      ["c", "d"],
    ];
    expect(show(pasted(table, at(1, 1), size))).toEqual(["1 1 a", "1 2 b", "2 1 c", "2 2 d"]);
    expect(show(pasted(table, at(19, 3), size))).toEqual(["19 3 a"]);
  });
  test("one cell fills all of a range", () => {
    const range = between({ r: 1, c: 1 }, { r: 3, c: 1 });
    expect(show(pasted([["7"]], range, size))).toEqual(["1 1 7", "2 1 7", "3 1 7"]);
  });
  test("nothing is an empty cell", () => {
    expect(show(pasted([[""]], at(0, 0), size))).toEqual(["0 0 "]);
  });
});

test("filled down: the first row of a range in those below, of one row what stands above it, if anything", () => {
  const typedAt = (r: number, c: number) => `${r}${c}`;
  const fill = (r: number, to: number) =>
    filledDown(between({ r, c: 1 }, { r: to, c: 2 }), typedAt).map((x) => [x.r, x.c, x.typed]);
  expect(fill(2, 4)).toEqual([
    [3, 1, "21"],
    [3, 2, "22"],
    [4, 1, "21"],
    [4, 2, "22"],
  ]);
  expect(fill(3, 3)).toEqual([
    [3, 1, "21"],
    [3, 2, "22"],
  ]);
  expect(fill(0, 0)).toEqual([]);
});
