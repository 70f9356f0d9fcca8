import { shelf } from "@/core/run/shelf";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aState, aTeam } from "@/stages/testing/rows";
import { addressOf, buildsFor, changeWords, chosenIn, groupsView, predictionsView, valuesByBuild } from "./compare";
import { experimentView, howLong } from "./experiment";
import { factorsView, variableView, varying } from "./factors";

const lift = aProtocol(definition);
const of = (team: string, number: number, valve: string, stroke: string, more = {}) =>
  aBuild(team, number, { variables: { valve, stroke }, ...more });
const builds = [
  of("Alder", 1, "flap", "0.25 m", { predicted: "7" }),
  of("Alder", 2, "ball", "0.25 m", { predicted: "8" }),
  of("Alder", 3, "ball", "0.30 m"),
  of("Birch", 1, "flap", "0.30 m"),
  of("Birch", 2, "cone", "0.30 m"),
];
const facts = {
  ...aState({ builds, teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")], protocols: [lift] }, {}, {}),
  summary: (b: string) => ({ n: b === "Birch G2" ? 0 : 3, counted: b === "Alder G1" ? 5 : 8 }) as never,
};
const runs: Record<string, number[]> = {
  "Alder G1": [6, 6.2, 6.1],
  "Alder G2": [7, 7.2, 7.1],
  "Alder G3": [8.2, 8, 8.1],
  "Birch G1": [7.1, 7, 7.2],
};
const valuesOf = (id: string) => runs[id] ?? [];
const chosen = (wanted = {}, own: string | null = null) => chosenIn(facts, wanted, own)!;

test("without a wish it is the own team's builds, or the first team's, on what the protocol is about", () => {
  expect([chosen().by, chosen().team?.name, chosen().channel.key, chosen().digits]).toEqual([
    "builds",
    "Alder",
    "Q",
    3,
  ]);
  expect(chosen({}, "Birch").team?.name).toBe("Birch");
  expect(chosen({ by: "nonsense", key: "m", team: "Birch" })).toMatchObject({ by: "builds", channel: { key: "m" } });
  expect(chosen({ by: "factors" }).team).toBeUndefined();
  expect(chosenIn(aState({}), {}, null)).toBeNull();
});

test("of each team the newest build that has a run that counts is read; of predictions none", () => {
  const read = (by: string) => buildsFor(facts, chosen({ by })).map((b) => b.id);
  expect(read("teams")).toEqual(["Alder G3", "Birch G1"]);
  expect([read("builds").length, read("factors").length, read("predictions").length]).toEqual([3, 5, 0]);
});

test("a team's builds two by two: what changed, and what would tell several changes apart", () => {
  const view = groupsView(chosen(), buildsFor(facts, chosen()), valuesOf);
  expect(view.groups.map((g) => [g.label, g.runs.length])).toEqual([
    ["G1", 3],
    ["G2", 3],
    ["G3", 3],
  ]);
  expect(view.pairs.map((p) => [p.a, p.b, p.distinct, p.changed])).toEqual([
    ["G1", "G2", true, "one variable changed: valve"],
    ["G1", "G3", true, "valve and stroke changed; with G2 on record each can be told by itself"],
    ["G2", "G3", true, "one variable changed: stroke"],
  ]);
  expect(view.against).toBeNull();
});

test("teams are named whole and nothing is said of their variables; beyond eight each is held against the best", () => {
  const many = Array.from({ length: 9 }, (_, i) => aBuild(`T${i}`, 1));
  const view = groupsView(chosen({ by: "teams" }), many, (id) => [Number(id[1]), Number(id[1]) + 0.1]);
  expect([view.against, view.pairs.length, view.pairs[0]!.changed]).toEqual(["T8 G1", 8, null]);
});

test("changes together are confounded until further builds are tested", () => {
  const separation = { changed: ["valve", "seal"], kind: "confounded" as const, helped: [] };
  expect(changeWords({ ...separation, further: [{ variable: "seal", value: "" }] }, "G1", [])).toBe(
    "valve and seal changed together: the record cannot say which one did it. To tell, also test G1 with no seal",
  );
  expect(changeWords({ changed: [], kind: "repeat", helped: [], further: [] }, "G1", [])).toContain("a repeat");
});

test("two factors are crossed over all teams, with what else differs; levels stand by size", () => {
  const view = factorsView(chosen({ by: "factors" }), builds, valuesOf, { x: "valve", y: "stroke" });
  expect([view.x, view.y, view.names]).toEqual(["valve", "stroke", ["stroke", "valve"]]);
  expect(view.crossed?.value?.table.columns).toEqual(["0.25 m", "0.30 m"]);
  expect(view.counts).toEqual([
    [3, 3],
    [3, 3],
  ]);
  expect(view.besides).toEqual(["the team that built them"]);
  expect(factorsView(chosen(), builds.slice(0, 2), valuesOf, {}).crossed).toBeNull();
  const same = factorsView(chosen(), builds, valuesOf, { x: "valve", y: "valve" });
  expect([same.x, same.y]).toEqual(["valve", "stroke"]);
});

test("one variable: builds by its levels in the order of their size", () => {
  const sized = ["9 mm", "10 mm", "19 mm"].map((hose, i) => aBuild("Alder", i + 1, { variables: { hose } }));
  const view = variableView(sized.toReversed(), () => [1, 2], {});
  expect(view.groups.map((g) => g.label)).toEqual(["9 mm", "10 mm", "19 mm"]);
  expect([view.besides, view.builds.map((b) => b.mean)]).toEqual([[], [1.5, 1.5, 1.5]]);
  expect(variableView([aBuild("Alder", 1)], () => [1], {}).x).toBeUndefined();
  expect(varying([of("Alder", 1, "flap", "1 m"), of("Alder", 2, "flap", "1 m")])).toEqual([]);
});

test("predictions stand beside what was reached, for the class and team by team", () => {
  const view = predictionsView(facts)!;
  expect(view.lines.map((l) => [l.name, l.predicted, l.measured, l.miss])).toEqual([
    ["Alder G1", 7, 5, expect.closeTo(0.4)],
    ["Alder G2", 8, 8, 0],
  ]);
  expect([view.teams.map((t) => t.team.name), view.all.value?.n]).toEqual([["Alder"], 2]);
  expect(predictionsView(aState({}))).toBeNull();
});

test("an address says what is asked for and nothing else", () => {
  expect(addressOf("/c", { by: "teams", key: undefined, x: "" })).toBe("/c?by=teams");
  expect(addressOf("/c", {})).toBe("/c");
  expect(
    valuesByBuild([
      { buildId: "a", value: 1 },
      { buildId: "a", value: 2 },
    ])("a"),
  ).toEqual([1, 2]);
});

describe("an experiment in the address", () => {
  const asked = { factors: "valve: flap, ball\nstroke: 0.25 m, 0.30 m", repeats: "2", minutes: "4", seed: "7" };
  test("is worked out: runs, time, and what the class's own scatter lets it tell", () => {
    const view = experimentView(asked, lift, [[6, 6.2, 6.1], [7], [8, 8.2]]);
    expect([view.known, view.plan?.runs.length, view.plan?.minutes]).toEqual([5, 8, 32]);
    expect(view.plan?.tells.map((t) => [t.factor, t.perLevel])).toEqual([
      ["valve", 4],
      ["stroke", 4],
    ]);
  });
  test.each([{}, { ...asked, factors: "valve flap" }, { ...asked, repeats: "many" }, { ...asked, repeats: "61" }])(
    "%j is not worked out",
    (wrong) => expect(experimentView(wrong, lift, []).plan).toBeNull(),
  );
  test("time is said as people say it", () =>
    expect([32, 60, 95, 1.5].map(howLong)).toEqual(["32 min", "1 h", "1 h 35 min", "2 min"]));
});

describe("levels", () => {
  const drop = aProtocol(shelf.find((t) => t.key === "damage")!.definition);
  const levelled = { ...facts, protocols: [drop] };
  const of = (wanted = {}) => chosenIn(levelled, wanted, null)!;
  test("are counted and compared by ranks; the best of them is the lowest where less is better", () => {
    const read: Record<string, number[]> = { "Alder G1": [2, 2, 3, 2, 2], "Alder G2": [0, 0, 1, 0, 0] };
    const view = groupsView(of(), buildsFor(levelled, of()), (id) => read[id] ?? []);
    expect(view.levelled?.map((g) => g.counts)).toEqual([
      [0, 0, 4, 1],
      [4, 1, 0, 0],
    ]);
    expect(view.pairs[0]).toMatchObject({ distinct: true, sentence: expect.stringContaining("G2 does better") });
  });
  test("have no means: factors are offered for the count only, and predictions not at all", () => {
    expect(of({ by: "factors" }).channels.map((c) => c.key)).toEqual(["loose"]);
    expect(of({ by: "variable", key: "damage" }).channel.key).toBe("loose");
    expect(of({ by: "builds", key: "damage" }).channel.key).toBe("damage");
    expect(predictionsView(levelled)).toBeNull();
    const look = { ...facts, protocols: [aProtocol(shelf.find((t) => t.key === "look")!.definition)] };
    expect(chosenIn(look, { by: "factors" }, null)).toMatchObject({ by: "builds", channel: { key: "match" } });
  });
});
