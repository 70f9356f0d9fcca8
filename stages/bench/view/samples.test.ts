import fc from "fast-check";
import { extentOf, joinedBlocks, packed, unpacked, wrongBlock } from "./samples";

const numbers = fc.array(fc.tuple(fc.double({ noNaN: true }), fc.double({ noNaN: true })), { minLength: 1 });
test("samples come back bit by bit", () =>
  fc.assert(
    fc.property(numbers, (pairs) => {
      const [t, v] = [pairs.map(([x]) => x), pairs.map(([, y]) => y)];
      const back = unpacked(packed(t, v))!;
      expect([[...back.t], [...back.v]]).toEqual([t, v]);
    }),
  ));

test("a part of them is packed alone, and blocks are joined in their order", () => {
  const [t, v] = [
    [0, 1, 2, 3],
    [5, 6, 7, 8],
  ];
  const blocks = [unpacked(packed(t, v, 0, 1))!, unpacked(packed(t, v, 1, 4))!];
  expect([...joinedBlocks(blocks).v]).toEqual(v);
  expect(joinedBlocks([]).t.length).toBe(0);
});

test.each(["", "%%%", "AAAA", "A"])("“%s” is no block", (text) => expect(unpacked(text)).toBeNull());

const block = (t: number[], v = t) => ({ t: Float64Array.from(t), v: Float64Array.from(v) });
test.each([
  [null, -Infinity, "arrived broken"],
  [block([0, 1]), -Infinity, null],
  [block([1, 2]), 1, "1 s does not come after 1 s"],
  [block([1, 1]), 0, "1 s does not come after 1 s"],
  [block([0, Number.NaN]), -1, "not a number that an instrument gives"],
  [block([0, 1], [0, Infinity]), -1, "not a number that an instrument gives"],
  [block([0, 2e9]), -1, "not a number that an instrument gives"],
] as const)("a block %# after %d", (b, after, wanted) => {
  const said = wrongBlock(b, after);
  if (wanted === null) expect(said).toBeNull();
  else expect(said).toContain(wanted);
});

test("its extent is what a small drawing needs", () =>
  expect(extentOf(block([2, 3, 4], [5, -1, 3]))).toEqual({ n: 3, fromT: 2, toT: 4, low: -1, high: 5 }));
