import { unitsOf } from "@/core/quantity/systems";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aState, aTeam } from "@/stages/testing/rows";
import type { PartRow } from "../queries/parts";
import { causesToChoose, causesView, passedOver } from "./failures";
import { featuresView } from "./features";
import { partsView } from "./parts";
import { treeView } from "./tree";

const builds = [
  aBuild("Alder", 1, { variables: { valve: "flap" } }),
  aBuild("Alder", 2, { variables: { valve: "ball" }, parents: ["Alder G1"] }),
  aBuild("Birch", 1),
  aBuild("Birch", 2, { parents: ["Birch G1", "Alder G2"], variables: { a: "1", b: "2", c: "3" } }),
];
const facts = aState(
  { builds, teams: [aTeam("Alder"), aTeam("Birch")], protocols: [aProtocol(definition)] },
  {},
  { "Alder G2": 8.254 },
);

describe("the family tree", () => {
  test("a build stands to the right of all that it was made from, and none covers another", () => {
    const { nodes, edges } = treeView(facts, [{ buildId: "Alder G2" as never, closedBy: null }], undefined);
    const at = new Map(nodes.map((n) => [n.id, n]));
    for (const e of edges) expect(at.get(e.to)!.x).toBeGreaterThan(at.get(e.from)!.x + at.get(e.from)!.width);
    for (const a of nodes)
      for (const b of nodes)
        if (a !== b) expect(Math.abs(a.x - b.x) >= a.width || Math.abs(a.y - b.y) >= a.height).toBe(true);
    expect(at.get("Alder G2")).toMatchObject({ reached: "8.25 L/min", openFailures: 1 });
    expect(at.get("Alder G1")).toMatchObject({ reached: null, openFailures: 0 });
    expect(edges.map((e) => `${e.from} > ${e.to}: ${e.label}`)).toEqual([
      "Alder G1 > Alder G2: valve",
      "Birch G1 > Birch G2: a and 2 more",
      "Alder G2 > Birch G2: valve and 3 more",
    ]);
  });
  test("of one team, what its builds were made from is shown too; the list says the same", () => {
    expect(treeView(facts, [], "Birch").lines.map((l) => [l.name, l.from])).toEqual([
      ["Alder G2", []],
      ["Birch G1", []],
      ["Birch G2", ["Birch G1", "Alder G2"]],
    ]);
    expect(treeView(aState({}), [], undefined)).toMatchObject({ nodes: [], height: 0 });
  });
});

test("a build of the edition before is the oldest of the tree, and leads to its own page", () => {
  const ancestor = {
    id: "Adze G3",
    name: "Adze G3",
    edition: "Pump 2026",
    slug: "pump-2026",
    stage: "final",
    features: [],
  };
  const last = aBuild("Birch", 1, { ancestor: ancestor as never, maker: "Ana Lis" as never });
  const { nodes, edges, lines } = treeView(aState({ builds: [last], teams: [aTeam("Birch")] }), [], undefined, "pump");
  expect(nodes.map((n) => [n.name, n.path])).toEqual([
    ["Birch G1, Ana", "/p/pump/builds/Birch G1"],
    ["Adze G3", "/p/pump-2026/builds/Adze G3"],
  ]);
  expect(edges).toEqual([{ from: "Adze G3", to: "Birch G1", label: "from Pump 2026" }]);
  expect(nodes[1]!.x).toBeLessThan(nodes[0]!.x);
  expect(lines[0]!.from).toEqual(["Adze G3 of Pump 2026"]);
});

test("features are kept, new, or dropped with the reason or without one", () => {
  const view = featuresView({ features: ["ball valve", "hose"], dropped: { lid: "leaks" } }, [
    { features: ["ball valve", "lid"] },
    { features: ["flap"] },
  ]);
  expect(view).toEqual({
    kept: ["ball valve"],
    added: ["hose"],
    dropped: [
      { feature: "lid", reason: "leaks" },
      { feature: "flap", reason: "" },
    ],
  });
});

test("the class's own causes stand after the known ones, each once", () => {
  expect(causesToChoose(["rust", "joint", "", "rust", "ageing"]).slice(-3)).toEqual(["material", "ageing", "rust"]);
});

test("a failure is passed over when a later build of the same team does not answer it", () => {
  const f = { closedBy: null, teamId: "Alder", build: 1 } as never;
  expect([passedOver(f, builds), passedOver({ closedBy: "x", teamId: "Alder", build: 1 } as never, builds)]).toEqual([
    true,
    false,
  ]);
  expect(passedOver({ closedBy: null, teamId: "Alder", build: 2 } as never, builds)).toBe(false);
});

test("causes are counted over the editions, this year's first, the most frequent on top", () => {
  const count = (year: string, cause: string, failures: number, answered = 0) => ({
    projectId: year,
    edition: `Pump ${year}`,
    startsOn: `${year}-01-18`,
    cause,
    failures,
    answered,
  });
  const view = causesView([count("2026", "joint", 4, 3), count("2027", "", 2), count("2027", "joint", 1, 1)]);
  expect(view.editions.map((e) => e.year)).toEqual(["2027", "2026"]);
  expect(view.rows).toEqual([
    { cause: "joint", of: { 2026: 4, 2027: 1 }, failures: 5, answered: 4 },
    { cause: "not said", of: { 2027: 2 }, failures: 2, answered: 0 },
  ]);
});

test("a parts list comes to its sum, is held against the weighed whole, and says where the mass is", () => {
  const part = (name: string, count: number, mass: string | null, cost: string | null, source = "bought") =>
    ({ id: name, name, count, mass, cost, source, supplier: "", entered: {}, version: 1 }) as unknown as PartRow;
  const list = [part("lid", 1, "0.2", "3", "donated"), part("pipe", 2, "0.9", "2"), part("screw", 8, null, "0.1")];
  const build = aBuild("Alder", 1, { mass: "2.5" });
  const metric = unitsOf("metric");
  const view = partsView(list, build, metric, "zero");
  expect([view.mass.shown, view.cost.shown]).toEqual(["2.00", "4.80"]);
  expect(partsView(list, build, metric, "fair").cost.shown).toBe("7.80");
  expect(view.against).toBe("the list is 20 % below the weighed whole: the parts without a mass, or something missing");
  expect(view.heaviest.map((h) => [h.name, h.adds, h.share])).toEqual([
    ["pipe", "1.80", 90],
    ["lid", "0.20", 10],
  ]);
  expect(view.lines.map((l) => [l.one, l.all, l.share])).toEqual([
    ["0.200", "0.20", 0.1],
    ["0.900", "1.80", 0.9],
    [null, null, null],
  ]);
  expect(partsView(list, build, unitsOf("us"), "zero").mass.shown).toBe("4.41");
});
