import { type GateFacts, type GateItem, gateStates, mayBuild } from "./gate";

const people = ["Ada", "Ben", "Cai", "Dee", "Eli"].map((name) => ({ id: name, name }));
const facts: GateFacts = { members: people.slice(0, 3), have: {}, ticked: {}, musts: 0, answered: 0 };
const state = (item: Partial<GateItem>, more: Partial<GateFacts> = {}) => {
  const [s] = gateStates([{ id: "i", kind: "each", label: "Own drawing", needs: 0, ...item }], { ...facts, ...more });
  return [s!.met, s!.note];
};

test("everybody's own: who is missing is named, at most three of them", () => {
  expect(state({})).toEqual([false, "missing from Ada, Ben, Cai"]);
  expect(state({}, { have: { i: ["Ada", "Cai"] } })).toEqual([false, "missing from Ben"]);
  expect(state({}, { have: { i: ["Ada", "Ben", "Cai", "Zoe"] } })).toEqual([true, "from everybody"]);
  expect(state({}, { members: people })).toEqual([false, "missing from Ada, Ben, Cai and 2 more"]);
  expect(state({}, { members: [] })).toEqual([false, "the team has nobody yet"]);
  expect(state({}, { have: { other: ["Ada", "Ben", "Cai"] } })[0]).toBe(false);
});

test("the team's own is there or not", () => {
  expect(state({ kind: "team" })).toEqual([false, "not there yet"]);
  expect(state({ kind: "team" }, { ticked: { i: true } })).toEqual([true, "there"]);
  expect(state({ kind: "team" }, { ticked: { i: true }, members: [] })[0]).toBe(true);
});

test("a tool asks for as many signed members as it says, never for more than there are; 0 is all", () => {
  const tool = (needs: number, signed: string[], members = facts.members) =>
    state({ kind: "tool", needs }, { have: { i: signed }, members });
  expect(tool(2, [])).toEqual([false, "nobody is signed; 2 must be"]);
  expect(tool(2, ["Ada"])).toEqual([false, "1 of 3 signed"]);
  expect(tool(2, ["Ada", "Ben"])).toEqual([true, "2 of 3 signed"]);
  expect(tool(2, ["Ada"], people.slice(0, 1))).toEqual([true, "1 of 1 signed"]);
  expect(tool(0, ["Ada", "Ben"])).toEqual([false, "missing from Cai"]);
  expect(tool(0, ["Ada", "Ben", "Cai"])).toEqual([true, "from everybody"]);
  expect(tool(1, [], [])).toEqual([false, "the team has nobody yet"]);
});

test("coverage is a share of the musts: at the share it is met, without musts it is not", () => {
  const share = (answered: number | null, musts: number, needs = 80) =>
    state({ kind: "coverage", needs }, { answered, musts });
  expect(share(4, 5)).toEqual([true, "4 of 5 musts answered (80 %, asked 80 %)"]);
  expect(share(3, 5)).toEqual([false, "3 of 5 musts answered (60 %, asked 80 %)"]);
  expect(share(2, 3, 66)).toEqual([true, "2 of 3 musts answered (66 %, asked 66 %)"]);
  expect(share(2, 3, 67)[0]).toBe(false);
  expect(share(0, 0)).toEqual([false, "0 of 0 musts answered (0 %, asked 80 %)"]);
  expect(share(0, 0, 0)[0]).toBe(false);
  expect(share(null, 10)).toEqual([false, "the team has no concept yet, so no must is answered"]);
});

test("a gate blocks, warns or is not asked for; what is open is said", () => {
  const item: GateItem = { id: "d", kind: "team", label: "Model complete", needs: 0 };
  const open = [{ item, met: false, note: "not there yet" }];
  const full = [{ item, met: true, note: "there" }];
  const missing = "Before material is cut: model complete (not there yet).";
  const ask = "The gate is not signed yet. Ask the instructor to sign it.";
  expect(mayBuild("none", false, open)).toEqual({ allowed: true, says: null });
  expect(mayBuild("warn", false, open)).toEqual({ allowed: true, says: missing });
  expect(mayBuild("warn", false, full)).toEqual({ allowed: true, says: "The gate is complete, but not signed yet." });
  expect(mayBuild("warn", true, open)).toEqual({ allowed: true, says: null });
  expect(mayBuild("block", false, open)).toEqual({ allowed: false, says: `${missing} ${ask}` });
  expect(mayBuild("block", false, full)).toEqual({ allowed: false, says: ask });
  expect(mayBuild("block", true, full)).toEqual({ allowed: true, says: null });
  expect(mayBuild("warn", false, [...open, ...open]).says).toBe(
    "Before material is cut: model complete (not there yet); model complete (not there yet).",
  );
});
