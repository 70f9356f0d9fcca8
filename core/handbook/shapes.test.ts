// Parts from their corners and trusses by joints.
import { reaches } from "../working/equation";
import { calculatorOf } from "./calculators";
import { outcomeOf } from "./outcome";
import { fitsOn, measureOutline, outlineDxf, outlineSvg, outlineWorking } from "./outline";
import { type Point, readCorners } from "./points";
import { solveTruss, trussWorking } from "./truss";
import { readTruss, type Truss } from "./truss-text";

const millimetres = { length: "mm", force: "N" };
const corners = (text: string): readonly Point[] => {
  const read = readCorners(text, "mm");
  if (!read.ok) throw new Error(read.message);
  return read.corners;
};

describe("a part from its corners", () => {
  const l = corners("0 0\n60 0\n60 20\n20 20\n20 60\n0 60");
  test("an L of 2000 mm², its centre beside its middle", () => {
    const o = measureOutline(l);
    expect([o.area * 1e6, o.perimeter * 1e3, o.width * 1e3, o.height * 1e3].map((x) => x.toFixed(6))).toEqual(
      ["2000", "240", "60", "60"].map((x) => Number(x).toFixed(6)),
    );
    // Two rectangles: 60 × 20 at (30, 10) and 20 × 40 at (10, 40).
    expect(o.centroid.map((x) => (x * 1e3).toFixed(6))).toEqual(["22.000000", "22.000000"]);
  });
  test("moved, turned around and listed the other way it is the same part", () => {
    const o = measureOutline(l.map(([x, y]) => [-y - 3, x + 7] as Point).toReversed());
    expect([(o.area * 1e6).toFixed(4), (o.perimeter * 1e3).toFixed(4)]).toEqual(["2000.0000", "240.0000"]);
    expect(o.centroid.map((c) => c.toFixed(6))).toEqual(["-3.022000", "7.022000"]);
  });
  test("sides that cross are named; sides that touch at a corner are not", () => {
    expect(measureOutline(corners("0 0\n10 10\n10 0\n0 10")).crossing).toEqual([1, 3]);
    expect(measureOutline(l).crossing).toBeNull();
  });
  test("it lies on a sheet upright, turned, or not, its border left", () => {
    const part = { width: 0.39, height: 0.1 };
    expect([fitsOn(part, [0.4, 0.2], 0.005), fitsOn(part, [0.4, 0.2], 0.006), fitsOn(part, [0.2, 0.4], 0.005)]).toEqual(
      ["upright", null, "turned"],
    );
  });
  test("what cannot be read is named by its line; units may stand behind a number; a closed list closes once", () => {
    const wrong = (text: string) => {
      const read = readCorners(text, "mm");
      return read.ok ? "" : read.message;
    };
    expect(corners("0, 0\n\n1in, 0\n0; 10\n0 0")).toEqual([
      [0, 0],
      [0.0254, 0],
      [0, 0.01],
    ]);
    expect(wrong("0 0\n\nx 1\n2 2")).toContain("Line 3: “x 1” is no corner.");
    expect(wrong("0 0\n1 1")).toBe("A part has three corners or more, a line each.");
    expect(wrong(Array.from({ length: 401 }, (_, i) => `${i} ${i * i}`).join("\n"))).toBe(
      "At most 400 corners are taken.",
    );
  });
  test("its working, its drawing at true size and its cutter's file hold the same corners", () => {
    const { steps, result } = outlineWorking(l, "mm");
    const [left, right] = steps[0]!.split(" = ");
    expect([result, reaches(left!, right!.replace(" mm²", ""))]).toEqual(["2000", true]);
    expect(outlineSvg(l)).toContain('width="62mm" height="62mm" viewBox="-1 -1 62 62"');
    expect(outlineSvg(l)).toContain('points="0,60 60,60 60,40 20,40 20,0 0,0"');
    // A line of code, a line of value.
    const dxf = outlineDxf(l).split("\n");
    const pairs = dxf.flatMap((code, i) => (i % 2 ? [] : [[code, dxf[i + 1]] as const]));
    const numbers = (code: string) => pairs.flatMap(([c, value]) => (c === code ? [value] : []));
    expect([numbers("10"), numbers("20")]).toEqual([
      ["0", "60", "60", "20", "20", "0"],
      ["0", "0", "20", "20", "60", "60"],
    ]);
  });
});

test("what a part comes to: on the sheet or not, and what is no part", () => {
  const of = (typed: Record<string, string>) => {
    const o = outcomeOf(calculatorOf("outline")!, typed, "metric");
    return o.ok
      ? [o.results.map((r) => r.text).join(" "), ...o.warnings]
      : o.wrong.map((w) => `${w.symbol}: ${w.message}`);
  };
  expect(of({ corners: "0 0\n100 0\n100 50\n0 50" })).toEqual(["5000 300.0 50.00 25.00 100.0 50.00"]);
  expect(of({ corners: "0 0\n500 0\n0 50", W: "100", H: "600" })[1]).toContain("turned by a quarter");
  expect(of({ corners: "0 0\n900 0\n0 50" })[1]).toBe("It does not fit on the sheet.");
  expect(of({ corners: "0 0\n10 10\n10 0\n0 10" })).toEqual([
    "corners: Side 1 crosses side 3: look at the order of the corners.",
  ]);
  expect(of({ corners: "0 0\n1 1\n2 2" })).toEqual(["corners: The corners lie in one line."]);
  expect(of({ corners: "0 0", W: "x", B: "-1" })).toEqual([
    expect.stringContaining("corners: A part has three corners"),
    expect.stringContaining("W: "),
    "B: This is at least 0.",
  ]);
});

describe("a truss by its joints", () => {
  const bridge: Truss = {
    joints: "A 0 0\nB 200 0\nC 400 0\nD 100 150\nE 300 150",
    members: "A B\nB C\nD E\nA D\nD B\nB E\nE C",
    supports: "A pin\nC roller",
    loads: "B 0 -60",
  };
  const solved = (typed: Truss) => {
    const read = readTruss(typed, millimetres);
    if (!read.ok) throw new Error(read.message);
    return { truss: read.truss, ...solveTruss(read.truss) };
  };
  const forces = (typed: Truss) => {
    const s = solved(typed);
    if (!s.ok) return s.message;
    return Object.fromEntries([...s.members, ...s.reactions].map((f) => [f.of, Number(f.newton.toFixed(4))]));
  };
  test("a bridge of seven members, by hand: 30 N at each support, diagonals of 3 : 4 … 5", () => {
    // At A: 30 = F_AD × 150/180.28; the lower chord takes its sideways part, the upper one twice of it.
    expect(forces(bridge)).toEqual({
      "A–B": 20,
      "B–C": 20,
      "D–E": -40,
      "A–D": -36.0555,
      "D–B": 36.0555,
      "B–E": 36.0555,
      "E–C": -36.0555,
      "A to the right": 0,
      "A up": 30,
      "C up": 30,
    });
  });
  test("a load to the side is held by the pin; loads at one joint add up", () => {
    const aside = forces({ ...bridge, loads: "D 10 0\nD 5 0" }) as Record<string, number>;
    expect(aside["A to the right"]).toBe(-15);
    // Moments about A: 15 × 150 = C × 400.
    expect([aside["C up"], aside["A up"]]).toEqual([5.625, -5.625]);
  });
  test("every line of its working comes to zero", () => {
    const s = solved(bridge);
    if (!s.ok) throw new Error(s.message);
    const { steps } = trussWorking(s.truss, [...s.members, ...s.reactions], "N");
    expect(steps).toHaveLength(10);
    for (const line of steps) {
      const [, left, right] = /: (.*) = (.*) N$/.exec(line)!;
      expect([line, reaches(left!, right!)]).toEqual([line, true]);
    }
  });
  test("what moves, what is held too much and what cannot be read is said", () => {
    expect(forces({ ...bridge, members: "A B\nB C\nD E\nA D\nD B\nB E" })).toContain(
      "It moves: 6 members and 3 reactions",
    );
    expect(forces({ ...bridge, supports: "A pin\nC pin" })).toContain("more members or supports than equilibrium");
    // A square without its diagonal, and a member too many elsewhere.
    const loose = {
      joints: "A 0 0\nB 100 0\nC 100 100\nD 0 100\nE 200 0",
      members: "A B\nB C\nC D\nD A\nB E\nC E\nA E",
      supports: "A pin\nE roller",
      loads: "D 10 0",
    };
    expect(forces(loose)).toBe("It moves though there are members enough: they lie in the wrong places.");
    expect(forces({ ...bridge, joints: bridge.joints.replace("D 100 150", "D 0 0") })).toBe(
      "The member A–D has no length.",
    );
    expect(forces({ joints: "A 0 0\nB 1 0", members: "A B", supports: "A pin", loads: "" })).toBe(
      "A truss has three joints or more.",
    );
    const wrong = (part: Partial<Truss>) => {
      const read = readTruss({ ...bridge, ...part }, millimetres);
      return read.ok ? null : `${read.field}: ${read.message}`;
    };
    expect([
      wrong({ joints: "A 0" }),
      wrong({ joints: "A 0 0\nA 1 1" }),
      wrong({ joints: "A 0 5kg" }),
      wrong({ members: "A A" }),
      wrong({ members: "A B\nB A" }),
      wrong({ supports: "A glue" }),
      wrong({ loads: "X 0 1" }),
      wrong({ joints: Array.from({ length: 41 }, (_, i) => `J${i} ${i} 0`).join("\n") }),
    ]).toEqual([
      "joints: Line 1: “A 0” cannot be read. Write it like A 0 0.",
      "joints: Line 2: “A” stands twice.",
      expect.stringContaining("joints: Line 1: “kg” is a mass"),
      "members: Line 1: a member joins two joints.",
      "members: The member B–A stands twice.",
      "supports: Line 1: “glue” is neither pin nor roller.",
      "loads: Line 1: there is no joint “X”.",
      "joints: At most 40 joints are taken.",
    ]);
  });
});
